import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { BuildDocument } from '../document/types'
import { Keeper } from './keeper'
import { useLookedUp } from './lookedUp'
import { useBuild } from './store'

const bench = (name: string) => ({ name, options: [] }) as unknown as BuildDocument
const answers: ((found: string[]) => void)[] = []
const ask = vi.fn<(document: BuildDocument, letter: string, dropped: AbortSignal) => Promise<string[]>>(
  () => new Promise((done) => answers.push(done)),
)

function looking() {
  let told!: ReturnType<typeof useLookedUp<string>>
  const wrapper = mount({
    setup() {
      told = useLookedUp<string>(() => undefined, ask, 300)
      return () => null
    },
  })
  return { told, wrapper }
}

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  ask.mockClear()
  answers.length = 0
  const keeper = new Keeper('u7', bench('one'), { id: 7, revision: 1, undo: undefined, redo: undefined })
  useBuild().keeper = keeper
})
afterEach(() => vi.useRealTimers())

const changeTo = (name: string) => (useBuild().keeper!.told.newest = bench(name))

it('asks once the reader has stopped typing, and tells what it was asked about', async () => {
  const { told } = looking()
  await vi.advanceTimersByTimeAsync(200)
  changeTo('two')
  await vi.advanceTimersByTimeAsync(299)
  expect(ask).not.toHaveBeenCalled()
  await vi.advanceTimersByTimeAsync(2)
  expect(ask).toHaveBeenCalledTimes(1)
  expect(told.looking.value).toBe(true)
  answers[0]!(['found'])
  await vi.advanceTimersByTimeAsync(0)
  expect([told.found.value, told.asked.value!.document.name, told.looking.value, told.stale.value]).toEqual([['found'], 'two', false, false])
})

it('is stale from the moment of a change, drops the question and takes only the newest answer', async () => {
  const { told, wrapper } = looking()
  await vi.advanceTimersByTimeAsync(301)
  answers[0]!(['first'])
  await vi.advanceTimersByTimeAsync(0)
  changeTo('two')
  expect(told.stale.value).toBe(true)
  await vi.advanceTimersByTimeAsync(301)
  const second = ask.mock.calls[1]![2]
  expect(second.aborted).toBe(false)
  changeTo('three')
  await nextTick()
  expect(second.aborted).toBe(true)
  await vi.advanceTimersByTimeAsync(301)
  answers[2]!(['third'])
  await vi.advanceTimersByTimeAsync(0)
  answers[1]!(['second, late'])
  await vi.advanceTimersByTimeAsync(0)
  expect(told.found.value).toEqual(['third'])
  changeTo('four')
  await vi.advanceTimersByTimeAsync(301)
  wrapper.unmount()
  expect(ask.mock.calls[3]![2].aborted).toBe(true)
})

it('asks nothing anew when only something is written down about the car, unless it is asked about that', async () => {
  const { told } = looking()
  let records!: ReturnType<typeof useLookedUp<string>>
  const asked = vi.fn(() => Promise.resolve(['kept']))
  mount({
    setup() {
      records = useLookedUp<string>(() => undefined, asked, 300, true)
      return () => null
    },
  })
  await vi.advanceTimersByTimeAsync(301)
  answers[0]!(['first'])
  await vi.advanceTimersByTimeAsync(0)
  const keeper = useBuild().keeper!
  keeper.told.newest = { ...keeper.told.newest, leakTests: [] }
  await vi.advanceTimersByTimeAsync(301)
  expect(ask).toHaveBeenCalledTimes(1)
  expect(told.stale.value).toBe(false)
  expect(asked).toHaveBeenCalledTimes(2)
  expect(records.asked.value!.document.leakTests).toEqual([])
  keeper.told.newest = { ...keeper.told.newest, name: 'two' }
  await vi.advanceTimersByTimeAsync(301)
  expect(ask).toHaveBeenCalledTimes(2)
})
