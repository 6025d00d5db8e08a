import type { LargestCore, Way } from '../api/client'

/** The side of something, as one says where a body stands. */
export const SIDES: readonly { value: Way; label: string }[] = [
  { value: 'FORWARDS', label: 'before' },
  { value: 'REARWARDS', label: 'behind' },
  { value: 'LEFT', label: 'left of' },
  { value: 'RIGHT', label: 'right of' },
  { value: 'UP', label: 'on' },
  { value: 'DOWN', label: 'under' },
]

/** Which way something goes. */
export const GOES: Record<Way, string> = {
  FORWARDS: 'forwards',
  REARWARDS: 'rearwards',
  LEFT: 'to the left',
  RIGHT: 'to the right',
  UP: 'upwards',
  DOWN: 'downwards',
}

/** On which side of the car something is stopped. */
export const AT: Record<Way, string> = {
  FORWARDS: 'before it',
  REARWARDS: 'behind it',
  LEFT: 'on the left',
  RIGHT: 'on the right',
  UP: 'above',
  DOWN: 'below',
}

const FACING: Record<LargestCore['facing'], string> = {
  FRONT: 'face to the front',
  FLAT: 'lying flat',
  SIDE: 'face to the side',
  AS_IT_STANDS: 'turned as it stands',
}

/** "face to the front, on end" */
export const stood = (core: LargestCore): string => `${FACING[core.facing]}${core.onEnd ? ', on end' : ''}`

/** @returns what stops a core, each once with all its sides: "crash bar before it and below" */
export function stops(core: LargestCore): string {
  const by = new Map<string, string[]>()
  for (const s of core.stops) by.set(s.name, [...(by.get(s.name) ?? []), AT[s.side]])
  return [...by].map(([name, sides]) => `${name} ${sides.join(' and ')}`).join(', ')
}
