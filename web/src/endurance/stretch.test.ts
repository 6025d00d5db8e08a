import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { api, type TraceView } from '../api/client'
import { Keeper } from '../build/keeper'
import { useBuild } from '../build/store'
import type { BuildDocument } from '../document/types'
import type { Window } from '../plot/timeAxis'
import { useStretch } from './stretch'

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  useBuild().keeper = new Keeper('u7', { options: [] } as unknown as BuildDocument, { id: 7, revision: 1 })
})
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
})

it('tells the window that stands, drops what was asked for another, and goes on with more until closer has come', async () => {
  const answers: ((trace: TraceView) => void)[] = []
  const asked = vi.spyOn(api, 'stretch').mockImplementation(() => new Promise((done) => answers.push(done)))
  const window = ref<Window>()
  const told = useStretch(window, ref('A'))
  window.value = { from: 0, to: 60 }
  await vi.advanceTimersByTimeAsync(110)
  window.value = { from: 0, to: 50 }
  await vi.advanceTimersByTimeAsync(130)
  expect(asked.mock.calls.map((c) => c.slice(1, 4))).toEqual([['A', 0, 50]])
  window.value = { from: 10, to: 40 }
  await nextTick()
  expect(asked.mock.calls[0]![4]!.aborted).toBe(true)
  answers[0]!({} as TraceView)
  await vi.advanceTimersByTimeAsync(130)
  expect(told.value).toBeUndefined()
  const closer = { closer: true } as unknown as TraceView
  answers[1]!(closer)
  await vi.advanceTimersByTimeAsync(0)
  expect(told.value).toBe(closer)
  window.value = { from: 20, to: 30 }
  await nextTick()
  expect(told.value).toBe(closer)
  window.value = { from: 0, to: 30 }
  await nextTick()
  expect(told.value).toBeUndefined()
})
