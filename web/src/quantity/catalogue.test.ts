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

  it('survives a switch of units there and back', () => {
    for (const value of [10, 51, 63.5, 101.6, 400]) {
      const inches = catalogue.shown(bore, value, 'us')
      expect(catalogue.toFile(bore, inches * 0.0254)).toBeCloseTo(value, 6)
    }
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
