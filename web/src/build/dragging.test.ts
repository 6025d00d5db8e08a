// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import type { BuildDocument } from '../document/types'
import { dragging } from './dragging'

const KEPT = { name: 'as kept', options: [] } as unknown as BuildDocument
const named = (value: string) => [{ pointer: '/name', value }]

/** Answers wait until they are let through, one after the other. */
function bench() {
  const shown: string[] = []
  const waiting: (() => void)[] = []
  const before = ref('the other option')
  const mode = ref<'option' | 'before'>('option')
  const drags = dragging(
    () => KEPT,
    () => {
      shown.push(drags.dragged.value!.name)
      return new Promise<void>((done) => waiting.push(done))
    },
    before,
    mode,
    (change) => `before ${change}`,
  )
  const answer = async () => {
    waiting.shift()!()
    await new Promise((later) => setTimeout(later))
  }
  return { ...drags, shown, before, mode, answer }
}

describe('dragging', () => {
  it('shows what is newest when the last is answered, and keeps nothing', async () => {
    const b = bench()
    void b.drag(named('a'), 'a drag')
    void b.drag(named('b'), 'a drag')
    void b.drag(named('c'), 'a drag')
    expect(b.shown).toEqual(['a'])
    await b.answer()
    expect(b.shown).toEqual(['a', 'c'])
    expect(b.dragged.value!.name).toBe('c')
    expect(KEPT.name).toBe('as kept')
    expect([b.before.value, b.mode.value]).toEqual(['before a drag', 'before'])
  })

  it('goes back to what was compared with when it is let go where it was', async () => {
    const b = bench()
    void b.drag(named('a'), 'a drag')
    b.letGo()
    await b.answer()
    expect(b.dragged.value).toBeUndefined()
    expect(b.shown).toEqual(['a'])
    expect([b.before.value, b.mode.value]).toEqual(['the other option', 'option'])
  })

  it('is compared with what there was before the drag, not with its last step', async () => {
    const b = bench()
    void b.drag(named('a'), 'a drag')
    const done = b.letGo(() => {
      expect(b.dragged.value).toBeUndefined()
      b.before.value = 'the last step of it'
      return 'kept'
    })
    await b.answer()
    expect(done).toBe('kept')
    expect(b.before.value).toBe('before a drag')
  })
})
