import { ticks } from 'd3-array'
import type { components } from '../api/schema'
import { UNITS } from './units'

export type QuantityView = components['schemas']['QuantityView']
export type UnitView = components['schemas']['UnitView']
export type FieldView = components['schemas']['FieldView']
export type FieldCatalogue = components['schemas']['FieldCatalogue']
export type UnitSystem = 'metric' | 'us'

/** What each unit of the build file is shown as in US units; metric shows the file's own. */
const US: Record<string, string> = {
  mm: 'in',
  m: 'ft',
  kPa: 'psi',
  '°C': '°F',
  K: '°F',
  L: 'US gal',
  kg: 'lb',
  'kg/s': 'lb/min',
  'L/min': 'US gal/min',
  'km/h': 'mph',
  'm/s': 'mph',
  kW: 'hp',
  'kg/m3': 'lb/ft3',
  Pa: 'inH2O',
  'm³/h': 'cfm',
  'cm²': 'sq in',
}

/** Digits after the point that are worth reading, by unit. */
const DIGITS: Record<string, number> = {
  mm: 0,
  in: 2,
  m: 0,
  ft: 0,
  kPa: 1,
  psi: 2,
  '°C': 1,
  '°F': 1,
  K: 1,
  L: 1,
  'US gal': 2,
  'cu in': 1,
  kg: 1,
  lb: 1,
  'kg/s': 3,
  'lb/min': 1,
  'L/min': 1,
  'US gal/min': 2,
  'km/h': 0,
  mph: 0,
  'm/s': 1,
  kW: 1,
  hp: 1,
  rpm: 0,
  s: 0,
  '%': 0,
  '°': 0,
  'kg/m3': 2,
  'lb/ft3': 3,
  Pa: 0,
  inH2O: 2,
  'm³/h': 0,
  cfm: 0,
  'cm²': 0,
  'sq in': 1,
}

/** Quantities, units and fields as the core knows them; turns file values into what the reader wants to see. */
export class Catalogue {
  private readonly quantities: Map<string, QuantityView>
  private readonly fields: Map<string, FieldView>
  /** What a run can say, each by the kind of its finding. */
  readonly sentences: Record<string, string>

  constructor(source: FieldCatalogue) {
    this.quantities = new Map(source.quantities.map((q) => [q.quantity, q]))
    this.fields = new Map(source.fields.map((f) => [`${f.part}/${f.key}`, f]))
    this.sentences = source.sentences
  }

  field(part: string, key: string): FieldView {
    const field = this.fields.get(`${part}/${key}`)
    if (!field) throw new Error(`no field ${part}/${key}`)
    return field
  }

  quantity(name: string): QuantityView {
    const quantity = this.quantities.get(name)
    if (!quantity) throw new Error(`no quantity ${name}`)
    return quantity
  }

  unit(quantity: string, symbol: string): UnitView {
    const unit = this.quantity(quantity).units.find((u) => u.symbol === symbol)
    if (!unit) throw new Error(`${quantity} has no unit ${symbol}`)
    return unit
  }

  /** @returns the unit a field is shown in */
  shownUnit(field: FieldView, system: UnitSystem): UnitView {
    if (system === 'us' && field.key === 'displacement_L') return this.unit(field.quantity, 'cu in')
    const symbol = system === 'us' ? (US[field.unit] ?? field.unit) : field.unit
    return this.unit(field.quantity, symbol)
  }

  /** File value of a field in the shown unit. */
  shown(field: FieldView, value: number, system: UnitSystem): number {
    const file = this.unit(field.quantity, field.unit)
    const unit = this.shownUnit(field, system)
    return (value * file.factor + file.offset - unit.offset) / unit.factor
  }

  /** SI value in the unit of the file, freed of conversion dust. */
  toFile(field: FieldView, si: number): number {
    const unit = this.unit(field.quantity, field.unit)
    return Number(((si - unit.offset) / unit.factor).toPrecision(10))
  }

  /** A value as text with its unit, as many digits as its unit deserves (inputs keep two more where they were typed). */
  text(field: FieldView, value: number, system: UnitSystem, exact = false): string {
    const unit = this.shownUnit(field, system)
    const usual = DIGITS[unit.symbol] ?? 2
    const digits = exact ? usual + (usual >= 2 ? 1 : 2) : usual
    const number = this.shown(field, value, system)
    const figure = exact ? trimmed(number, digits) : minus(number.toFixed(digits))
    return withUnit(figure, unit.symbol)
  }
}

export function withUnit(figure: string, symbol: string): string {
  return symbol === '' ? figure : symbol === '°' ? `${figure}°` : `${figure} ${symbol}`
}

/** A true minus sign, and no minus before zero. */
export function minus(figure: string): string {
  return /^-0(\.0*)?$/.test(figure) ? figure.slice(1) : figure.replace('-', '−')
}

function trimmed(number: number, digits: number): string {
  return minus(String(Number(number.toFixed(digits))))
}

interface Shown {
  /** As the quantity calls it; the table of its factor is the core's. */
  unit: string
  digits: number
  /** Where the reader sees it written otherwise. */
  symbol?: string
}

/** How the answers' figures are shown, by the suffix of their key. */
const ANSWERS = {
  C: { quantity: 'TEMPERATURE', metric: { unit: '°C', digits: 1 }, us: { unit: '°F', digits: 1 } },
  K: { quantity: 'TEMPERATURE_DIFFERENCE', metric: { unit: 'K', digits: 1, symbol: '°C' }, us: { unit: '°F', digits: 1 } },
  kPa: { quantity: 'PRESSURE', metric: { unit: 'kPa', digits: 1 }, us: { unit: 'psi', digits: 2 } },
  mm: { quantity: 'LENGTH', metric: { unit: 'mm', digits: 0 }, us: { unit: 'in', digits: 2 } },
  kW: { quantity: 'POWER', metric: { unit: 'kW', digits: 1 }, us: { unit: 'hp', digits: 1 } },
  kg_s: { quantity: 'MASS_FLOW', metric: { unit: 'kg/s', digits: 3 }, us: { unit: 'lb/min', digits: 1 } },
  m_s: { quantity: 'SPEED', metric: { unit: 'm/s', digits: 1 }, us: { unit: 'ft/s', digits: 1 } },
  km_h: { quantity: 'SPEED', metric: { unit: 'km/h', digits: 0 }, us: { unit: 'mph', digits: 0 } },
  kg: { quantity: 'MASS', metric: { unit: 'kg', digits: 1 }, us: { unit: 'lb', digits: 1 } },
  L_min: { quantity: 'VOLUME_FLOW', metric: { unit: 'L/min', digits: 1 }, us: { unit: 'US gal/min', digits: 2, symbol: 'gpm' } },
  kg_m3: { quantity: 'DENSITY', metric: { unit: 'kg/m3', digits: 2, symbol: 'kg/m³' }, us: { unit: 'lb/ft3', digits: 3, symbol: 'lb/ft³' } },
  Pa: { quantity: 'DRAUGHT', metric: { unit: 'Pa', digits: 0 }, us: { unit: 'inH2O', digits: 2 } },
  m3_h: { quantity: 'AIR_FLOW', metric: { unit: 'm³/h', digits: 0 }, us: { unit: 'cfm', digits: 0 } },
  N: { quantity: 'FORCE', metric: { unit: 'N', digits: 0 }, us: { unit: 'lbf', digits: 0 } },
  MPa: { quantity: 'STRESS', metric: { unit: 'MPa', digits: 0 }, us: { unit: 'ksi', digits: 1 } },
  Hz: { quantity: 'FREQUENCY', metric: { unit: 'Hz', digits: 0 }, us: { unit: 'Hz', digits: 0 } },
  L: { quantity: 'VOLUME', metric: { unit: 'L', digits: 1 }, us: { unit: 'US gal', digits: 2, symbol: 'gal' } },
  m: { quantity: 'LENGTH', metric: { unit: 'm', digits: 0 }, us: { unit: 'ft', digits: 0 } },
  cm2: { quantity: 'AREA', metric: { unit: 'cm²', digits: 0 }, us: { unit: 'sq in', digits: 1 } },
} satisfies Record<string, { quantity: string; metric: Shown; us: Shown }>
export type AnswerUnit = keyof typeof ANSWERS

/** @returns what a figure of the answers is multiplied with and then raised by, for the reader */
function conversion(unit: AnswerUnit, system: UnitSystem): { factor: number; offset: number; shown: Shown } {
  const { quantity, metric } = ANSWERS[unit]
  const shown: Shown = ANSWERS[unit][system]
  const from = UNITS[quantity]![metric.unit]!
  const to = UNITS[quantity]![shown.unit]!
  return { factor: from.factor / to.factor, offset: (from.offset - to.offset) / to.factor, shown }
}

export interface Figure {
  number: number
  figure: string
  unit: string
}

/** A computed number as the reader wants it. */
export function figure(value: number, unit: AnswerUnit, system: UnitSystem, digits?: number): Figure {
  const { factor, offset, shown } = conversion(unit, system)
  const number = value * factor + offset
  return { number, figure: minus(number.toFixed(digits ?? shown.digits)), unit: shown.symbol ?? shown.unit }
}

export function spoken(value: number, unit: AnswerUnit, system: UnitSystem, digits?: number): string {
  const f = figure(value, unit, system, digits)
  return `${f.figure} ${f.unit}`
}

/** A change with its sign, empty when it rounds to nothing. */
export function change(value: number, unit: AnswerUnit, system: UnitSystem, digits?: number): string {
  const { factor, shown } = conversion(unit, system)
  const rounded = (value * factor).toFixed(digits ?? shown.digits)
  if (Number(rounded) === 0) return ''
  return (Number(rounded) > 0 ? '+' : '') + minus(rounded)
}

/** A round place on an axis: where it is in the file's unit, and what is written there. */
export interface AxisTick {
  value: number
  label: string
}

/** @returns places for an axis that are round in the reader's unit, given in the file's */
export function axisTicks(low: number, high: number, count: number, unit: AnswerUnit, system: UnitSystem): AxisTick[] {
  const { factor, offset } = conversion(unit, system)
  const round = ticks(low * factor + offset, high * factor + offset, count)
  const step = round.length > 1 ? round[1]! - round[0]! : 1
  const digits = Math.max(0, -Math.floor(Math.log10(step) + 1e-9))
  return round.map((t) => ({ value: (t - offset) / factor, label: minus(t.toFixed(digits)) }))
}
