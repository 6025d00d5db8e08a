import type { QuantityView, UnitView } from './catalogue'

/** Why a text was not taken. */
export type Refusal = 'NOT_A_NUMBER' | 'WRONG_UNIT'
export type Reading = { si: number } | { refused: Refusal; unit?: string }

/** The grammar of io.enthalpa.core.quantity.QuantityText; both are tested on quantity-cases.json. */
const GRAMMAR = /^\s*([+\-−]?)\s*(?:(\d+)(?:\s+|-))?(?:(\d+)\s*\/\s*(\d+)|(\d+(?:[.,]\d+)?(?:[eE][+-]?\d+)?|[.,]\d+))\s*([^\d\s.,].*?)?\s*$/

/** @returns the value in SI, or why not; a number without a unit is taken in the default unit */
export function read(text: string, quantity: QuantityView, defaultUnit: UnitView): Reading {
  const match = GRAMMAR.exec(text)
  if (!match || (match[2] !== undefined && match[3] === undefined)) return { refused: 'NOT_A_NUMBER' }
  const [, sign, whole, above, below, decimal, written] = match
  let value = above === undefined ? Number(decimal!.replace(',', '.')) : Number(whole ?? 0) + Number(above) / Number(below)
  if (sign === '-' || sign === '−') value = -value
  if (!Number.isFinite(value)) return { refused: 'NOT_A_NUMBER' }
  const unit = written === undefined ? defaultUnit : findUnit(quantity, written)
  if (!unit) return { refused: 'WRONG_UNIT', unit: written }
  return { si: value * unit.factor + unit.offset }
}

function findUnit(quantity: QuantityView, written: string): UnitView | undefined {
  const names = (u: UnitView) => [u.symbol, ...u.alsoWritten]
  const loose = written.toLowerCase()
  return quantity.units.find((u) => names(u).includes(written)) ?? quantity.units.find((u) => names(u).some((n) => n.toLowerCase() === loose))
}
