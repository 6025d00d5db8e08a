import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { steadyView } from '../testing/steady'
import StationTable from './StationTable.vue'

describe('the table of stations', () => {
  beforeEach(() => {
    localStorage.clear()
    setActivePinia(createPinia())
  })

  it('adds up what has been lost and what has been filled', () => {
    const rows = mount(StationTable, { props: { steady: steadyView([34, 38, 187, 187, 49, 49, 49]) } }).findAll('tbody tr')
    expect(rows).toHaveLength(7)
    const cells = rows
      .at(-1)!
      .findAll('td')
      .map((c) => c.text())
    expect(cells[0]).toBe('7')
    expect(cells.at(-2)).toBe('5.00')
    expect(cells.at(-1)).toBe('6.0')
  })

  it('lists both legs of a pair before the station behind it', () => {
    const steady = steadyView([34, 38, 187, 187, 49, 49, 49])
    const leg = (name: string, share: number) => ({
      name,
      share_pct: share,
      flow_kg_s: 0.06,
      splitLoss_kPa: 0.2,
      mergeLoss_kPa: 0.1,
      stations: [steady.stations[4]!, steady.stations[5]!],
      pieces: [{ ...steady.pieces[4]!, loss_kPa: 2, volume_L: 0.5 }],
    })
    steady.pieces[4] = { ...steady.pieces[4]!, kind: 'pair', volume_L: 0, legs: [leg('left', 60), leg('right', 40)] }
    const table = mount(StationTable, { props: { steady } })
    const numbers = table.findAll('tbody tr').map((r) => r.find('td').text())
    expect(numbers).toEqual(['1', '2', '3', '4', '5', '5a1', '5a2', '5b1', '5b2', '6', '7'])
    const behind = table
      .findAll('tbody tr')[9]!
      .findAll('td')
      .map((c) => c.text())
    expect(behind.at(-2)).toBe('5.30')
    expect(behind.at(-1)).toBe('5.0')
  })
})
