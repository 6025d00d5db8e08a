// @vitest-environment node
import { describe, expect, it } from 'vitest'
import type { BuildDocument } from '../document/types'
import { soakView } from '../testing/soak'
import { extraLines } from './lines'

describe('lines beside the intake', () => {
  it('are every station and wall, and what is often asked for in sight', () => {
    const lines = extraLines(soakView([40, 45]), { bay: { standing_K: 40, rolling_K: 10, settles_s: 200 } } as BuildDocument)
    expect(lines.filter((l) => l.often).map((l) => l.name)).toEqual(['before core', 'sensor', 'bay'])
    expect(lines.filter((l) => !l.often).map((l) => l.name)).toEqual([
      'core metal, mean',
      'air behind the core',
      'air before the core',
      'blower out',
      'plenum',
      'cold pipe, its wall',
    ])
    expect(lines.find((l) => l.name === 'cold pipe, its wall')!.always).toBe(true)
  })

  it('have the mean of the metal, straight between its pictures', () => {
    const metal = extraLines(soakView([40, 45, 50, 55]), {} as BuildDocument).find((l) => l.key === 'metal')!
    expect(metal.values).toEqual([80, 85, 85, 85])
  })

  it('know no bay and no core where there is none', () => {
    const bare = soakView([40, 45])
    bare.metal = { along: 0, across: 0, time_s: [], cells_C: [] }
    expect(extraLines(bare, {} as BuildDocument).map((l) => l.key)).not.toContain('bay')
    expect(extraLines(bare, {} as BuildDocument).map((l) => l.key)).not.toContain('before')
  })
})
