import type { FieldCatalogue } from '../quantity/catalogue'
import { sentences } from './sentences'

const u = (symbol: string, factor: number, offset = 0, ...alsoWritten: string[]) => ({ symbol, factor, offset, alsoWritten })

/** What the server's /api/fields answers, as far as the tests need it; the server's own test holds the real one. */
export const catalogueView = {
  quantities: [
    {
      quantity: 'LENGTH',
      si: 'm',
      units: [u('mm', 1e-3), u('cm', 1e-2), u('m', 1), u('in', 0.0254, 0, '"', 'inch'), u('ft', 0.3048, 0, "'", 'foot')],
    },
    { quantity: 'PRESSURE', si: 'Pa', units: [u('kPa', 1e3), u('bar', 1e5), u('Pa', 1), u('psi', 6894.757293168)] },
    { quantity: 'TEMPERATURE', si: 'K', units: [u('°C', 1, 273.15, 'C'), u('°F', 5 / 9, (459.67 * 5) / 9, 'F'), u('K', 1)] },
    { quantity: 'TEMPERATURE_DIFFERENCE', si: 'K', units: [u('K', 1, 0, '°C'), u('°F', 5 / 9, 0, 'F')] },
    { quantity: 'VOLUME', si: 'm3', units: [u('L', 1e-3, 0, 'l'), u('cu in', 1.6387064e-5), u('US gal', 3.785411784e-3)] },
    { quantity: 'MASS_FLOW', si: 'kg/s', units: [u('kg/s', 1), u('lb/min', 0.45359237 / 60)] },
    { quantity: 'VOLUME_FLOW', si: 'm3/s', units: [u('L/min', 1e-3 / 60), u('US gal/min', 3.785411784e-3 / 60, 0, 'gpm')] },
    { quantity: 'SPEED', si: 'm/s', units: [u('km/h', 1 / 3.6), u('m/s', 1), u('mph', 0.44704)] },
    { quantity: 'ROTATION', si: 'rad/s', units: [u('rpm', Math.PI / 30)] },
    { quantity: 'ANGLE', si: 'rad', units: [u('°', Math.PI / 180, 0, 'deg')] },
    { quantity: 'TIME', si: 's', units: [u('s', 1), u('min', 60)] },
    { quantity: 'SHARE', si: '1', units: [u('%', 0.01)] },
  ],
  fields: [
    { part: 'pipe', key: 'bore_mm', label: 'bore', quantity: 'LENGTH', unit: 'mm', min: 10, max: 400, usual: 63, source: 'inside' },
    {
      part: 'climate',
      key: 'airTemperature_C',
      label: 'outside air',
      quantity: 'TEMPERATURE',
      unit: '°C',
      min: -40,
      max: 55,
      usual: 25,
      source: 'the hottest day',
    },
    {
      part: 'engine',
      key: 'displacement_L',
      label: 'displacement',
      quantity: 'VOLUME',
      unit: 'L',
      min: 0.05,
      max: 60,
      usual: 2,
      source: 'data plate',
    },
    { part: 'core', key: 'width_mm', label: 'core width', quantity: 'LENGTH', unit: 'mm', min: 30, max: 2500, usual: 500, source: 'finned block' },
    { part: 'core', key: 'height_mm', label: 'core height', quantity: 'LENGTH', unit: 'mm', min: 30, max: 1500, usual: 250, source: 'finned block' },
    { part: 'core', key: 'depth_mm', label: 'core depth', quantity: 'LENGTH', unit: 'mm', min: 10, max: 400, usual: 64, source: 'finned block' },
  ],
  sentences,
} as FieldCatalogue
