import type { DeviceAsked } from '../api/client'

type Kind = { kind: NonNullable<DeviceAsked['kind']>; name: string }

/** Devices as they are, however they are reached. */
export const REAL: readonly Kind[] = [
  { kind: 'SOCKET', name: 'device on the network' },
  { kind: 'SERIAL', name: 'device on a serial line' },
]

/** What can measure a drive. */
export const OF_DRIVE: readonly Kind[] = [
  { kind: 'SIMULATED_LOGGER', name: 'logger, simulated' },
  { kind: 'SIMULATED_GAUGE', name: 'pressure gauge, simulated' },
  { kind: 'SIMULATED_WEATHER', name: 'weather station, simulated' },
  { kind: 'SIMULATED_FLOW_METER', name: 'water flow meter, simulated' },
  ...REAL,
]

/** What can be read at a leak test. */
export const OF_LEAK: readonly Kind[] = [{ kind: 'SIMULATED_LEAK_GAUGE', name: 'gauge, simulated' }, ...REAL]

export const isSimulated = (device: DeviceAsked): boolean => device.kind?.startsWith('SIMULATED') ?? false

export const STATES = { CALLED: 'called', TALKS: 'talks', LOST: 'does not answer', SILENT: 'has ended' } as const
