import type { SheetRequest, StepView } from '../api/client'
import { api } from '../api/client'
import { saveFile } from '../ui/saveFile'

type Part = StepView['part']

/** What stands over the lines of a part. */
export const HEADINGS: Record<Part, string> = {
  BEWARE: 'Before anything else',
  CAPS: 'Shut',
  DO: 'In this order',
  SOAP: 'Soap, likeliest first',
  RESULT: 'What it comes to',
  LITRES: 'How much',
  AIR: 'Where air stays',
  COLD: 'Cold, before the start',
  IDLE: 'At idle',
  DRIVE: 'On the road',
  HOT: 'After it, hot and cold again',
  JOINTS: 'What pushes, what holds',
}
/** Lines that one does, and ticks off on paper. */
const TICKED = new Set<Part>(['CAPS', 'DO', 'SOAP', 'AIR', 'COLD', 'IDLE', 'DRIVE', 'HOT'])

export interface Told {
  part: Part
  heading: string
  lines: { kind: StepView['kind']; text: string }[]
}

/** @returns the lines by part, each part where it first comes */
export function byPart(steps: StepView[], words: (step: StepView) => string): Told[] {
  const parts = new Map<Part, Told>()
  for (const step of steps) {
    const part = parts.get(step.part) ?? { part: step.part, heading: HEADINGS[step.part], lines: [] }
    const text = words(step)
    part.lines.push({ kind: step.kind, text: text.charAt(0).toUpperCase() + text.slice(1) })
    parts.set(step.part, part)
  }
  return [...parts.values()]
}

export const onPaper = (told: Told[], before = ''): NonNullable<SheetRequest['sections']> =>
  told.map((t) => ({
    heading: before ? `${before}: ${t.heading.toLowerCase()}` : t.heading,
    ticked: TICKED.has(t.part),
    lines: t.lines.map((l) => l.text),
  }))

/** @returns what went wrong; empty when the file is there */
export async function print(sheet: SheetRequest, name: string): Promise<string> {
  try {
    saveFile(await api.sheet(sheet), `${name}.pdf`)
    return ''
  } catch (e) {
    return (e as Error).message
  }
}
