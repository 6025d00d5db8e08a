/** A part that ships with the program, under a licence of its own. */
export interface Part {
  name: string
  version: string
  licence: string
  texts: string[]
}

interface Jars {
  parts: (Omit<Part, 'texts'> & { texts: string[] })[]
  texts: Record<string, string>
}

type Scripts = { name: string; version: string; identifier: string | null; text?: string }[]

async function file<T>(path: string): Promise<T> {
  const response = await fetch(path)
  if (!response.ok) throw new Error(`The licences are not there (${response.status}).`)
  return (await response.json()) as T
}

/** Scripts as the build of the page found them; jars and font as the program has them committed. */
export async function licences(): Promise<{ title: string; parts: Part[] }[]> {
  const [scripts, jars] = await Promise.all([file<Scripts>('/licences-scripts.json'), file<Jars>('/licences-jars.json')])
  return [
    {
      title: 'In the page',
      parts: scripts.map((s) => ({ name: s.name, version: s.version, licence: s.identifier ?? 'see text', texts: s.text ? [s.text] : [] })),
    },
    { title: 'In the program', parts: jars.parts.map((p) => ({ ...p, texts: p.texts.map((id) => jars.texts[id]!) })) },
  ]
}
