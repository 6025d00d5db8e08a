import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Offline } from '../api/client'
import { Keeper } from '../build/keeper'
import { useBuild } from '../build/store'
import type { BuildDocument } from '../document/types'
import { useReasons } from './store'

describe('how do you know', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    vi.restoreAllMocks()
    useBuild().keeper = new Keeper('test', { options: [{ letter: 'A', path: [] }] } as unknown as BuildDocument, { id: 7, revision: 1 })
    vi.spyOn(api, 'methods').mockResolvedValue([
      { title: 'Path', methods: [{ id: 'bend', title: 'Smooth bend', says: 'x', formula: ['K'], ranges: [], sources: ['Rennels'], leavesOut: 'y' }] },
    ])
    vi.spyOn(api, 'reasons').mockResolvedValue({
      reasons: [
        { subject: '/path/2', result: { name: 'loss of a bend', si: 120, quantity: 'PRESSURE' }, method: 'bend', numbers: [] },
        { subject: '/path/3', result: { name: 'charge out', si: 320, quantity: 'TEMPERATURE' }, method: 'effectiveness', numbers: [] },
      ],
    })
  })

  it('opens the numbers of one piece alone and finds their method', async () => {
    const reasons = useReasons()
    await reasons.open('/path/2', 'hot pipe')
    expect(reasons.visible).toBe(true)
    expect(reasons.reasons.map((r) => r.result.name)).toEqual(['loss of a bend'])
    expect(reasons.method('bend')?.title).toBe('Smooth bend')
    expect(reasons.method('nothing')).toBeUndefined()
  })

  it('asks for the methods once', async () => {
    const reasons = useReasons()
    await reasons.open('/path/2', 'hot pipe')
    await reasons.open('/path/3', 'core')
    expect(api.methods).toHaveBeenCalledTimes(1)
    expect(reasons.title).toBe('core')
  })

  it('shows nothing of a piece that was asked for before, however late its answer comes', async () => {
    let late!: (told: Awaited<ReturnType<typeof api.reasons>>) => void
    vi.mocked(api.reasons).mockImplementationOnce(() => new Promise((done) => (late = done)))
    const reasons = useReasons()
    const first = reasons.open('/path/2', 'hot pipe')
    await vi.waitFor(() => expect(api.reasons).toHaveBeenCalledTimes(1))
    await reasons.open('/path/3', 'core')
    expect(vi.mocked(api.reasons).mock.calls[0]![2]!.aborted).toBe(true)
    late({ reasons: [{ subject: '/path/2', result: { name: 'late', si: 1, quantity: 'PRESSURE' }, method: 'bend', numbers: [] }] })
    await first
    expect(reasons.reasons.map((r) => r.result.name)).toEqual(['charge out'])
    expect(reasons.failure).toBe('')
  })

  it('says so when the server does not answer', async () => {
    vi.spyOn(api, 'reasons').mockRejectedValue(new Offline('The Enthalpa server does not answer.'))
    const reasons = useReasons()
    await reasons.open('/path/2', 'hot pipe')
    expect(reasons.failure).toContain('does not answer')
  })
})
