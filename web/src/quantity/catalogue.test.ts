// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { catalogueView } from '../testing/catalogue'
import { axisTicks, Catalogue, change, figure, minus } from './catalogue'
import { clock, span } from './time'

const catalogue = new Catalogue(catalogueView)
const bore = catalogue.field('pipe', 'bore_mm')

describe('showing numbers', () => {
  it('shows a field in the units of the reader', () => {
    expect(catalogue.text(bore, 63.5, 'metric', true)).toBe('63.5 mm')
    expect(catalogue.text(bore, 63.5, 'us', true)).toBe('2.5 in')
    expect(catalogue.text(bore, 63.5, 'us')).toBe('2.50 in')
    expect(catalogue.text(catalogue.field('climate', 'airTemperature_C'), 34, 'us', true)).toBe('93.2 °F')
    expect(catalogue.text(catalogue.field('engine', 'displacement_L'), 2.3, 'us')).toBe('140.4 cu in')
  })

  it('brings SI back to the unit of the file without dust', () => {
    expect(catalogue.toFile(bore, 0.0635)).toBe(63.5)
    expect(catalogue.toFile(catalogue.field('climate', 'airTemperature_C'), 307.15)).toBe(34)
  })

  it('shows what the definitions say: an inch is 25.4 mm, a pound-force on a square inch 6.894757 kPa', () => {
    for (const [mm, inches] of [
      [25.4, 1],
      [63.5, 2.5],
      [101.6, 4],
    ] as const)
      expect(catalogue.shown(bore, mm, 'us')).toBeCloseTo(inches, 12)
    expect(figure(68.94757293, 'kPa', 'us', 4).figure).toBe('10.0000')
    expect(figure(0.45359237, 'kg', 'us', 6)).toMatchObject({ figure: '1.000000', unit: 'lb' })
    expect(figure(1, 'kg_s', 'us', 3)).toMatchObject({ figure: '132.277', unit: 'lb/min' })
    expect(figure(100, 'kW', 'us', 3)).toMatchObject({ figure: '134.102', unit: 'hp' })
    expect(figure(3.048, 'm_s', 'us', 3)).toMatchObject({ figure: '10.000', unit: 'ft/s' })
    expect(figure(160.9344, 'km_h', 'us', 3)).toMatchObject({ figure: '100.000', unit: 'mph' })
    expect(figure(3.785411784, 'L_min', 'us', 4)).toMatchObject({ figure: '1.0000', unit: 'gpm' })
    expect(figure(1.2, 'kg_m3', 'us', 5)).toMatchObject({ figure: '0.07491', unit: 'lb/ft³' })
    expect(figure(249.08891, 'Pa', 'us', 4)).toMatchObject({ figure: '1.0000', unit: 'inH2O' })
    expect(figure(1699.011, 'm3_h', 'us', 1)).toMatchObject({ figure: '1000.0', unit: 'cfm' })
    expect(figure(6.4516, 'cm2', 'us', 4)).toMatchObject({ figure: '1.0000', unit: 'sq in' })
    expect(figure(5, 'K', 'us', 1)).toMatchObject({ figure: '9.0', unit: '°F' })
    expect(figure(5, 'K', 'metric', 1)).toMatchObject({ figure: '5.0', unit: '°C' })
  })

  it('writes signs that can be told apart', () => {
    expect(minus('-3.1')).toBe('−3.1')
    expect(minus('-0.0')).toBe('0.0')
    expect(change(-3.14, 'K', 'metric')).toBe('−3.1')
    expect(change(0.44, 'kPa', 'metric')).toBe('+0.4')
    expect(change(0.04, 'kPa', 'metric')).toBe('')
    expect(change(10, 'K', 'us')).toBe('+18.0')
    expect(figure(100, 'C', 'us')).toMatchObject({ figure: '212.0', unit: '°F' })
  })

  it('has axes that are round in the reader unit', () => {
    expect(axisTicks(20, 90, 4, 'C', 'metric').map((t) => t.label)).toEqual(['20', '40', '60', '80'])
    const warm = axisTicks(20, 90, 4, 'C', 'us')
    expect(warm.map((t) => t.label)).toEqual(['80', '100', '120', '140', '160', '180'])
    expect(warm[1]!.value).toBeCloseTo((100 - 32) / 1.8, 9)
    expect(axisTicks(300, 700, 4, 'mm', 'us').map((t) => t.label)).toEqual(['15', '20', '25'])
    expect(axisTicks(0, 1.2, 3, 'kPa', 'metric').map((t) => t.label)).toEqual(['0.0', '0.5', '1.0'])
  })

  it('says time as a stopwatch does', () => {
    expect(clock(6)).toBe('0:06')
    expect(clock(760)).toBe('12:40')
    expect(clock(3730)).toBe('1:02:10')
    expect(span(40)).toBe('40 s')
    expect(span(2100)).toBe('35 min')
    expect(span(6692)).toBe('1 h 52 min')
  })
})
