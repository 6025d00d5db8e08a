import type { Segment } from '../api/client'

/** Parts of a drive as people say them. */
export const KINDS: Record<Segment['kind'], string> = {
  OFF: 'engine off',
  IDLE: 'idling',
  CRUISE: 'cruise',
  PULL: 'pull',
  LAP: 'lap',
}
