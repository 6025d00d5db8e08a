// Made from the quantities of the core; not to be edited.
/** Every unit by its quantity: SI = value * factor + offset. */
export const UNITS: Record<string, Record<string, { factor: number; offset: number }>> = {
  LENGTH: {
    'mm': { factor: 0.001, offset: 0 },
    'cm': { factor: 0.01, offset: 0 },
    'm': { factor: 1, offset: 0 },
    'in': { factor: 0.0254, offset: 0 },
    'ft': { factor: 0.3048, offset: 0 },
  },
  PRESSURE: {
    'kPa': { factor: 1000, offset: 0 },
    'bar': { factor: 100000, offset: 0 },
    'mbar': { factor: 100, offset: 0 },
    'Pa': { factor: 1, offset: 0 },
    'psi': { factor: 6894.757293168, offset: 0 },
    'inH2O': { factor: 249.08891, offset: 0 },
    'inHg': { factor: 3386.38864, offset: 0 },
  },
  TEMPERATURE: {
    '°C': { factor: 1, offset: 273.15 },
    '°F': { factor: 0.5555555555555556, offset: 255.3722222222222 },
    'K': { factor: 1, offset: 0 },
  },
  TEMPERATURE_DIFFERENCE: {
    'K': { factor: 1, offset: 0 },
    '°F': { factor: 0.5555555555555556, offset: 0 },
  },
  VOLUME: {
    'L': { factor: 0.001, offset: 0 },
    'cm3': { factor: 1.0e-6, offset: 0 },
    'm3': { factor: 1, offset: 0 },
    'cu in': { factor: 1.6387064e-5, offset: 0 },
    'US gal': { factor: 0.003785411784, offset: 0 },
  },
  MASS: {
    'kg': { factor: 1, offset: 0 },
    'g': { factor: 0.001, offset: 0 },
    'lb': { factor: 0.45359237, offset: 0 },
  },
  MASS_FLOW: {
    'kg/s': { factor: 1, offset: 0 },
    'g/s': { factor: 0.001, offset: 0 },
    'kg/h': { factor: 2.777777777777778e-4, offset: 0 },
    'lb/min': { factor: 0.007559872833333333, offset: 0 },
  },
  VOLUME_FLOW: {
    'L/min': { factor: 1.6666666666666667e-5, offset: 0 },
    'L/h': { factor: 2.7777777777777776e-7, offset: 0 },
    'm3/s': { factor: 1, offset: 0 },
    'US gal/min': { factor: 6.30901964e-5, offset: 0 },
    'cfm': { factor: 4.719474e-4, offset: 0 },
  },
  AIR_FLOW: {
    'm³/h': { factor: 2.777777777777778e-4, offset: 0 },
    'm³/s': { factor: 1, offset: 0 },
    'L/s': { factor: 0.001, offset: 0 },
    'cfm': { factor: 4.719474e-4, offset: 0 },
  },
  DRAUGHT: {
    'Pa': { factor: 1, offset: 0 },
    'kPa': { factor: 1000, offset: 0 },
    'mbar': { factor: 100, offset: 0 },
    'inH2O': { factor: 249.08891, offset: 0 },
  },
  AREA: {
    'cm²': { factor: 1.0e-4, offset: 0 },
    'm²': { factor: 1, offset: 0 },
    'mm²': { factor: 1.0e-6, offset: 0 },
    'sq in': { factor: 6.4516e-4, offset: 0 },
  },
  SPEED: {
    'km/h': { factor: 0.2777777777777778, offset: 0 },
    'm/s': { factor: 1, offset: 0 },
    'mph': { factor: 0.44704, offset: 0 },
    'ft/s': { factor: 0.3048, offset: 0 },
    'kn': { factor: 0.5144444444444445, offset: 0 },
  },
  ROTATION: {
    'rpm': { factor: 0.10471975511965977, offset: 0 },
    'rad/s': { factor: 1, offset: 0 },
  },
  ANGLE: {
    '°': { factor: 0.017453292519943295, offset: 0 },
    'rad': { factor: 1, offset: 0 },
  },
  TIME: {
    's': { factor: 1, offset: 0 },
    'min': { factor: 60, offset: 0 },
    'h': { factor: 3600, offset: 0 },
  },
  POWER: {
    'kW': { factor: 1000, offset: 0 },
    'W': { factor: 1, offset: 0 },
    'hp': { factor: 745.69987, offset: 0 },
  },
  DENSITY: {
    'kg/m3': { factor: 1, offset: 0 },
    'lb/ft3': { factor: 16.01846337, offset: 0 },
  },
  THERMAL_CONDUCTIVITY: {
    'W/mK': { factor: 1, offset: 0 },
  },
  FOULING: {
    'm²K/kW': { factor: 0.001, offset: 0 },
    'm²K/W': { factor: 1, offset: 0 },
  },
  CONDUCTANCE: {
    'W/K': { factor: 1, offset: 0 },
    'kW/K': { factor: 1000, offset: 0 },
  },
  FUEL_RATE: {
    'g/kWh': { factor: 2.7777777777777777e-10, offset: 0 },
    'lb/hph': { factor: 1.6896594142567781e-7, offset: 0 },
  },
  FORCE: {
    'N': { factor: 1, offset: 0 },
    'kN': { factor: 1000, offset: 0 },
    'lbf': { factor: 4.4482216152605, offset: 0 },
  },
  STIFFNESS: {
    'N/mm': { factor: 1000, offset: 0 },
    'lbf/in': { factor: 175.12683524647636, offset: 0 },
  },
  STRESS: {
    'MPa': { factor: 1000000, offset: 0 },
    'ksi': { factor: 6894757.293168, offset: 0 },
  },
  FREQUENCY: {
    'Hz': { factor: 1, offset: 0 },
  },
  SHARE: {
    '%': { factor: 0.01, offset: 0 },
  },
  NUMBER: {
    '': { factor: 1, offset: 0 },
  },
}
