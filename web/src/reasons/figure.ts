import type { ReasonView } from '../api/client'
import type { Catalogue, UnitSystem } from '../quantity/catalogue'
import { minus, withUnit } from '../quantity/catalogue'

type Figure = ReasonView['result']

/** Unit that a quantity is told in when it comes as a bare SI number. */
const TOLD: Record<string, [string, string]> = {
  LENGTH: ['mm', 'in'],
  PRESSURE: ['kPa', 'psi'],
  TEMPERATURE: ['°C', '°F'],
  TEMPERATURE_DIFFERENCE: ['K', '°F'],
  VOLUME: ['L', 'US gal'],
  MASS: ['kg', 'lb'],
  MASS_FLOW: ['kg/s', 'lb/min'],
  VOLUME_FLOW: ['L/min', 'US gal/min'],
  SPEED: ['m/s', 'mph'],
  ROTATION: ['rpm', 'rpm'],
  ANGLE: ['°', '°'],
  TIME: ['s', 's'],
  POWER: ['kW', 'hp'],
  DENSITY: ['kg/m3', 'lb/ft3'],
  SHARE: ['%', '%'],
  FUEL_RATE: ['g/kWh', 'lb/hph'],
}

/** @returns four significant digits, never an exponent for ordinary sizes */
export function significant(value: number): string {
  if (value === 0) return '0'
  const size = Math.abs(value)
  if (size >= 1000) return minus(value.toFixed(0))
  if (size < 1e-4) return minus(value.toExponential(1))
  return minus(String(Number(value.toPrecision(4))))
}

/** A reason's number with its unit, as the reader wants it. */
export function told(f: Figure, catalogue: Catalogue, system: UnitSystem): string {
  const units = TOLD[f.quantity]
  if (!units) return significant(f.si)
  const unit = catalogue.unit(f.quantity, units[system === 'us' ? 1 : 0])
  return withUnit(significant((f.si - unit.offset) / unit.factor), unit.symbol)
}
