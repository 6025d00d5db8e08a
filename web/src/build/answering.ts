import { ref, shallowRef, watch, type Ref } from 'vue'
import { api, Offline, Problem, type OptionAnswer } from '../api/client'
import type { BuildDocument } from '../document/types'
import { alike } from './alike'

/** The document and option that the places of an answer count in. */
export interface Asked {
  document: BuildDocument
  letter: string
}

export type Answers = Record<string, OptionAnswer>

const AGAIN_MS = 2000
/** A frame with a new fit is drawn in that time, as a rule. */
const DRAWN_MS = 40
/** What may wait until the reader sees something new waits no longer than this. */
const PATIENCE_MS = 150

/**
 * What comes of the document on screen: asked for whenever it changes, what was being asked before is dropped.
 *
 * @param document on screen
 * @param failed   told what went wrong, where it is neither the document's fault nor a server away for a moment
 * @param inRoom   letter of the option whose room the reader looks at; undefined where something else is on screen
 */
export function answering(
  document: Ref<BuildDocument | undefined>,
  failed: (sentence: string) => void,
  inRoom: () => string | undefined = () => undefined,
) {
  const answers = shallowRef<Answers>({})
  /** The document that the answers on screen belong to; runs behind the one being edited. */
  const answered = shallowRef<BuildDocument>()
  const asking = ref(0)
  /** The server did not answer the last question. */
  const away = ref(false)
  /** Options whose answers are older than the document; undefined when all are. */
  let stale: Set<string> | undefined = new Set()
  let question: AbortController | undefined
  /** The document last asked about. */
  let pending: BuildDocument | undefined
  let retry: ReturnType<typeof setTimeout> | undefined
  /** The obstacles that each option's fit on screen was told with. */
  const fitted = new Map<string, unknown>()
  /** The question's first answer is on screen, or will not come. */
  let first: Promise<void> = Promise.resolve()
  /** Its charge line is, likewise. */
  let lined: Promise<void> = Promise.resolve()

  /** @returns when the first of what an edit made anew is on screen: until then the machine has nothing better to do */
  async function shown(): Promise<void> {
    // Whoever made the edit asks right after it.
    await Promise.resolve()
    await Promise.race([first, new Promise((late) => setTimeout(late, PATIENCE_MS))])
  }

  /** Another build comes on screen. */
  function forget(): void {
    question?.abort()
    question = undefined
    clearTimeout(retry)
    answers.value = {}
    fitted.clear()
    answered.value = undefined
    stale = undefined
  }

  /** @param letters of the options whose answers are out of date; all when not told */
  function outdate(letters?: string[]): void {
    if (stale && letters) for (const l of letters) stale.add(l)
    else stale = undefined
  }

  /** @returns the option whose room the reader looks at, where that is out of date */
  function roomOf(doc: BuildDocument, letters: string[] | undefined): string | undefined {
    const letter = inRoom()
    return letter && doc.room && answers.value[letter]?.fit && (letters ?? [letter]).includes(letter) ? letter : undefined
  }

  async function askRoom(doc: BuildDocument, letter: string, mark: AbortController): Promise<void> {
    // What no edit touched is the very same.
    const drawn = doc.room!.obstacles === fitted.get(letter)
    const told = (await api.preview(doc, [letter], drawn ? 'BODIES' : 'FIT', mark.signal)).answers[0]
    const were = answers.value[letter]
    if (question !== mark || !told?.fit || !were?.fit) return
    const fit = drawn ? { ...told.fit, obstacles: were.fit.obstacles } : told.fit
    answers.value = { ...answers.value, [letter]: alike(were, { ...were, fit }) }
    fitted.set(letter, doc.room!.obstacles)
    // Drawn before anything else is asked for.
    await new Promise((drawn) => setTimeout(drawn, DRAWN_MS))
  }

  /** The charge line first, which is quick, the duty right behind it; ahead of both the room where the reader looks at it. */
  async function ask(): Promise<void> {
    const doc = document.value
    if (!doc) return
    question?.abort()
    clearTimeout(retry)
    pending = doc
    const mark = (question = new AbortController())
    const letters = stale ? [...stale].filter((l) => doc.options.some((o) => o.letter === l)) : undefined
    if (letters?.length === 0) {
      answered.value = doc
      return
    }
    asking.value++
    const current = () => question === mark
    let seen = () => {}
    first = new Promise((done) => (seen = done))
    let line = () => {}
    lined = new Promise((done) => (line = done))
    try {
      const room = roomOf(doc, letters)
      if (room) await askRoom(doc, room, mark)
      if (!current()) return
      if (room) seen()
      const lines = await api.preview(doc, letters, 'LINE', mark.signal)
      if (!current()) return
      away.value = false
      const were = answers.value
      const fresh: Answers = letters ? { ...were } : {}
      for (const a of lines.answers) fresh[a.option] = alike(were[a.option], a.fault ? a : { ...a, soak: were[a.option]?.soak })
      answers.value = fresh
      for (const a of lines.answers) fitted.set(a.option, doc.room?.obstacles)
      answered.value = doc
      seen()
      line()
      const solved = lines.answers.filter((a) => !a.fault).map((a) => a.option)
      const duties = solved.length ? (await api.preview(doc, solved, 'DUTY', mark.signal)).answers : []
      if (!current()) return
      const whole: Answers = { ...answers.value }
      for (const a of duties) whole[a.option] = a.fault ? a : alike(whole[a.option], { ...whole[a.option]!, soak: a.soak })
      answers.value = whole
      stale = new Set()
    } catch (e) {
      if (!current()) return
      if (e instanceof Offline) {
        away.value = true
        retry = setTimeout(() => void ask(), AGAIN_MS)
      } else if (!(e instanceof Problem && (e.fault || e.type.endsWith('superseded')))) {
        // What the document itself is refused for, its save is refused for: that one says it.
        failed((e as Error).message)
      }
    } finally {
      seen()
      line()
      asking.value--
    }
  }

  /** A step was refused, or came from elsewhere: the document on screen is not the one that was asked about. */
  watch(document, (doc) => {
    if (doc && doc !== pending) {
      outdate()
      void ask()
    }
  })

  return { answers, answered, asking, away, forget, outdate, ask, shown, lined: () => lined }
}
