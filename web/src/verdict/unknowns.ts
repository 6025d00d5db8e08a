import type { SpreadView } from '../api/client'

type Unknown = SpreadView['ranking'][number]['unknown']

/** What an unknown is called, and how a fabricator gets to know it better. */
export const UNKNOWNS: Record<Unknown, { name: string; measure: string }> = {
  BLOWER_EFFICIENCY: { name: 'blower efficiency', measure: 'Measure the temperature behind the blower at full load: it gives its efficiency.' },
  VOLUMETRIC_EFFICIENCY: {
    name: 'how well the cylinders fill',
    measure: 'Measure the air flow, or boost and fuel at full load: they give how well the cylinders fill.',
  },
  CORE_CONDUCTANCE: { name: 'the core itself', measure: 'Put a sensor before and behind the core: the two give what it really does.' },
  COOLING_AIR: { name: 'cooling air at the face', measure: 'Measure the air speed at the face of the core or radiator at a known road speed.' },
  WATER_FLOW: { name: 'water flow', measure: 'Measure the water flow with bucket and watch and type it in.' },
  RADIATOR_CONDUCTANCE: { name: 'the radiator itself', measure: 'Measure the water before and behind the radiator at full load.' },
  OUTSIDE_AIR: { name: 'outside air', measure: 'Look the hottest day up, or measure the air where the intake breathes.' },
  START: { name: 'how warm it starts', measure: 'Measure core and water at the start line.' },
  BAY: { name: 'air in the engine bay', measure: 'Lay a thermometer into the bay, standing and at 60 km/h.' },
  ICE_CONTACT: { name: 'how the water meets the ice', measure: 'Measure the water at the core while it melts, and the size of the pieces.' },
  WATER_PORTS: {
    name: 'how the ports share the water out',
    measure: 'Feel or film the core hot for cold and hot bands; better, move the ports to opposite corners.',
  },
  CHARGE_FINS: { name: 'the formula of the charge fins', measure: 'Put a sensor before and behind the core: the two give what it really does.' },
  COLD_FINS: { name: 'the formula of the cooling fins', measure: 'Put a sensor before and behind the core: the two give what it really does.' },
  PATH_LOSSES: { name: 'what pipes, bends and core lose', measure: 'Put a gauge behind the blower and one at the plenum.' },
  SENSOR_LAG: {
    name: 'how slow the sensors are',
    measure: 'Warm a sensor in the hand, blow on it, and time how long it takes to come two thirds of the way.',
  },
  CHILLER_CAPACITY: { name: 'chiller capacity', measure: 'Time how long it takes to pull the tank down.' },
}
