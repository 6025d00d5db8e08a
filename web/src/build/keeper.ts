import { shallowReactive } from 'vue'
import { api, Offline, Problem, type BuildState, type FaultView } from '../api/client'
import { apply, Gone, newIdentity, prepared, type Edit } from '../document/edit'
import type { BuildDocument } from '../document/types'
import * as shelf from './shelf'
import type { Shelved, Step } from './shelf'

/** How a change ended for the one who asked for it. */
export type Outcome = { done: true } | { done: false; fault: FaultView }

/** Why nothing is being sent: the server is away, refuses for now, another window was quicker, or the build is gone. */
export interface Hold {
  kind: 'offline' | 'trouble' | 'gone'
  words: string
}

/** What the reader sees of a build's way to the disk. */
interface Told {
  id: number
  newest: BuildDocument
  revision: number
  /** What undo would take back and redo bring again on the server. */
  undo: string | undefined
  redo: string | undefined
  waiting: number
  sending: boolean
  /** Edits that the server is asked about before they can be made. */
  working: number
  hold: Hold | undefined
  conflict: BuildState | undefined
  /** A value that only the server refused, long after it was typed. */
  refused: string
  /** The browser has no room to keep edits until they are saved. */
  unshelved: boolean
}

const SOON_MS = 2000
const LATEST_MS = 15000

/** @returns a refusal that has only words */
export const plainFault = (sentence: string): FaultView => ({ kind: 'CONTRADICTION', field: '', label: '', value: '', allowed: '', sentence })

/**
 * Takes one build's edits to the disk: each is shelved in the browser at once, made on the newest document, sent in its turn as a step of
 * its own, and forgotten when the server says that it is on the disk. What the server refuses is taken out of the row; what comes after it
 * is made anew without it. Goes on working when the reader has gone to another build.
 */
export class Keeper {
  readonly told: Told
  /** Done when a change may be sent; at once where nothing is said. */
  pace: (() => Promise<void>) | undefined
  private base: BuildDocument
  private steps: Step[] = []
  /** Steps that a request has been sent with: the server may have them, whatever became of the answer. */
  private readonly sent = new Set<string>()
  private readonly undone: Step[] = []
  private readonly waiters = new Map<string, (outcome: Outcome) => void>()
  private retry: ReturnType<typeof setTimeout> | undefined
  private wait = SOON_MS
  private running = false
  /** Done when what is being sent has been answered. */
  private ran: Promise<void> = Promise.resolve()
  /** How many undos and redos are on their way, and when the last of them is done. */
  private travels = 0
  private travelled: Promise<unknown> = Promise.resolve()

  constructor(
    readonly uid: string,
    document: BuildDocument,
    state: Pick<BuildState, 'id' | 'revision' | 'undo' | 'redo'>,
    left?: Shelved,
  ) {
    // What was left is made on what it was made on before, so that the server can tell what of it it has already.
    this.base = left && left.revision !== state.revision ? left.base : document
    this.steps = left?.steps ?? []
    this.told = shallowReactive({
      id: state.id,
      newest: document,
      revision: left?.revision ?? state.revision,
      undo: state.undo,
      redo: state.redo,
      waiting: 0,
      sending: false,
      working: 0,
      hold: undefined,
      conflict: undefined,
      refused: '',
      unshelved: false,
    })
    this.fold()
  }

  /** Nothing is on its way. */
  get settled(): boolean {
    return this.steps.length === 0 && !this.running && this.travels === 0 && this.told.working === 0
  }

  /** Shelves a change and makes it; the outcome comes when the server has judged it, or cannot be asked. */
  add(change: string, edits: Edit[]): Promise<Outcome> {
    const step: Step = { id: newIdentity() + newIdentity(), change, edits: prepared(edits) }
    try {
      apply(this.told.newest, step.edits)
    } catch (e) {
      if (e instanceof Gone) return Promise.resolve({ done: false, fault: plainFault(e.message) })
      throw e
    }
    this.undone.length = 0
    return this.push(step)
  }

  /**
   * An edit that the server is asked about first: not settled from the moment it is typed. Asked anew when something was changed before
   * the answer came.
   */
  async worked(ask: (document: BuildDocument) => Promise<Edit[]>, make: (edits: Edit[]) => Promise<Outcome>): Promise<Outcome> {
    let outcome: Promise<Outcome>
    this.told.working++
    try {
      let document
      let edits
      do {
        document = this.told.newest
        edits = await ask(document)
      } while (document !== this.told.newest)
      outcome = make(edits)
    } finally {
      this.told.working--
    }
    return outcome
  }

  private push(step: Step): Promise<Outcome> {
    this.steps = [...this.steps, step]
    this.told.refused = ''
    this.put()
    this.fold()
    const outcome = new Promise<Outcome>((tell) => this.waiters.set(step.id, tell))
    if (this.told.hold || this.told.conflict) this.tell(step.id, { done: true })
    void this.run()
    return outcome
  }

  private put(): void {
    if (this.steps.length === 0) shelf.clearShelf(this.uid)
    else this.told.unshelved = !shelf.shelve({ build: this.told.id, uid: this.uid, revision: this.told.revision, base: this.base, steps: this.steps })
  }

  /** The newest document is what the server has with all steps made on it, those that cannot be made left out. */
  private fold(): void {
    let document = this.base
    for (const step of [...this.steps]) {
      try {
        document = apply(document, step.edits)
      } catch (e) {
        if (!(e instanceof Gone)) throw e
        this.drop(step, plainFault(e.message))
      }
    }
    this.told.newest = document
    this.told.waiting = this.steps.length
  }

  private drop(step: Step, why: FaultView): void {
    this.steps = this.steps.filter((s) => s !== step)
    this.put()
    if (!this.tell(step.id, { done: false, fault: why })) this.told.refused = `Not kept: ${step.change}. ${why.sentence}`
  }

  /** @returns whether somebody was waiting to hear it */
  private tell(id: string, outcome: Outcome): boolean {
    const waiter = this.waiters.get(id)
    this.waiters.delete(id)
    waiter?.(outcome)
    return waiter !== undefined
  }

  private tellAll(outcome: Outcome): void {
    for (const id of [...this.waiters.keys()]) this.tell(id, outcome)
  }

  /** Sends what is unsaved, one after the other. */
  async run(): Promise<void> {
    if (this.running || this.travels || this.told.conflict || this.told.hold?.kind === 'gone') return
    clearTimeout(this.retry)
    this.running = true
    this.told.sending = true
    this.ran = this.sendAll()
    await this.ran
  }

  private async sendAll(): Promise<void> {
    try {
      await this.pace?.()
      while (this.steps.length && !this.told.conflict) {
        const step = this.steps[0]!
        if (!(await this.send(step))) break
      }
    } finally {
      this.running = false
      this.told.sending = this.travels > 0
    }
  }

  /** @returns whether to go on with the next */
  private async send(step: Step): Promise<boolean> {
    try {
      const document = apply(this.base, step.edits)
      this.sent.add(step.id)
      const kept = await api.save(this.told.id, this.told.revision, document, step.change, step.id)
      this.base = document
      this.steps = this.steps.filter((s) => s !== step)
      Object.assign(this.told, { revision: kept.revision, undo: kept.undo, redo: kept.redo, hold: undefined, waiting: this.steps.length })
      this.wait = SOON_MS
      this.put()
      this.tell(step.id, { done: true })
      return true
    } catch (e) {
      return this.failed(step, e)
    }
  }

  private failed(step: Step, e: unknown): boolean {
    if (e instanceof Gone || (e instanceof Problem && e.fault)) {
      this.drop(step, e instanceof Problem ? e.fault! : plainFault((e as Error).message))
      this.fold()
      return true
    }
    if (e instanceof Problem && e.status === 409 && e.theirs) {
      this.told.conflict = e.theirs
      this.tellAll({ done: true })
      return false
    }
    const gone = e instanceof Problem && e.status === 404
    this.told.hold =
      e instanceof Offline
        ? { kind: 'offline', words: 'The server does not answer. Your edits are kept in this browser and will be saved when it is back.' }
        : {
            kind: gone ? 'gone' : 'trouble',
            words: gone
              ? 'This build was deleted in another window. What you changed since is kept in this browser; save it as a new build.'
              : `${(e as Error).message} Your edits are kept in this browser and sent again.`,
          }
    this.tellAll({ done: true })
    if (!gone) {
      this.retry = setTimeout(() => void this.run(), this.wait)
      this.wait = Math.min(this.wait * 1.5, LATEST_MS)
    }
    return false
  }

  /** @returns whether everything is kept; waits while it is on its way, not while something holds it up */
  async drained(): Promise<boolean> {
    for (const until = Date.now() + LATEST_MS; !this.settled && Date.now() < until;) {
      if (this.told.hold || this.told.conflict) return false
      await new Promise((done) => setTimeout(done, 20))
    }
    return this.settled
  }

  /** Undo or redo is on its way, and nothing was changed since: another one is to follow it at once. */
  get travelling(): boolean {
    return this.travels > 0 && this.steps.length === 0
  }

  /**
   * Undo or redo on the server; to be asked for when all is drained, or while another one is on its way. A change that came in the same
   * moment is kept first, so that neither overtakes the other; what is changed later is sent after it.
   *
   * @returns what was taken back or done again, nothing when there was nothing
   */
  travel(way: 'undo' | 'redo'): Promise<string | undefined> {
    this.travels++
    this.told.sending = true
    const mine = this.travelled.then(() => this.ran).then(() => this.go(way))
    this.travelled = mine.catch(() => undefined)
    return mine
  }

  private async go(way: 'undo' | 'redo'): Promise<string | undefined> {
    const what = this.told[way]
    try {
      if (what) this.show(await api[way](this.told.id, this.told.revision))
      return what
    } catch (e) {
      if (e instanceof Problem && e.theirs) this.show(e.theirs)
      throw e
    } finally {
      if (--this.travels === 0) {
        this.told.sending = false
        void this.run()
      }
    }
  }

  /** What the server made of an undo or redo, or another window of the build. */
  show(state: BuildState): void {
    this.base = state.document
    Object.assign(this.told, { id: state.id, revision: state.revision, undo: state.undo, redo: state.redo, hold: undefined })
    this.fold()
  }

  /** Takes back the last change while it has not been sent. @returns what was taken back; why not */
  undoUnsent(): { change: string } | { not: string } {
    const last = this.steps.at(-1)
    if (!last) return { not: 'What the server keeps can be undone when it answers again.' }
    if (this.sent.has(last.id))
      return { not: `"${last.change}" is on its way to the server, which does not answer; it can be undone when it answers again.` }
    this.steps = this.steps.slice(0, -1)
    this.undone.push(last)
    this.put()
    this.fold()
    return { change: last.change }
  }

  /** What undo and redo would do while the server is away. */
  get unsent(): { undo?: string; redo?: string } {
    return { undo: this.steps.at(-1)?.change, redo: this.undone.at(-1)?.change }
  }

  redoUnsent(): { change: string } | { not: string } {
    const step = this.undone.pop()
    if (!step) return { not: 'Nothing to do again until the server answers.' }
    void this.push(step)
    return { change: step.change }
  }

  /** Makes my changes on their version, each its own step; where they speak of what is gone there, my whole document is laid over theirs. */
  async keepMine(): Promise<void> {
    const theirs = this.told.conflict
    if (!theirs) return
    const mine: BuildDocument[] = []
    let document = this.base
    for (const step of this.steps) mine.push((document = apply(document, step.edits)))
    try {
      let merged = theirs.document
      for (const step of this.steps) merged = apply(merged, step.edits)
    } catch {
      this.steps = this.steps.map((step, i) => ({ ...step, edits: [{ pointer: '', value: mine[i]! }] }))
    }
    this.onto(theirs)
    await this.run()
  }

  private onto(state: BuildState): void {
    this.told.conflict = undefined
    this.show(state)
    this.put()
  }

  /** Goes on with theirs. Mine is put into the history first and undone, so that redo can bring it back. */
  async takeTheirs(): Promise<boolean> {
    const theirs = this.told.conflict
    if (!theirs) return false
    const steps = this.steps
    let state: { revision: number } = theirs
    let document = this.base
    for (const step of steps) {
      document = apply(document, step.edits)
      state = await api.save(theirs.id, state.revision, document, step.change, step.id)
    }
    let back: BuildState = theirs
    for (let i = 0; i < steps.length; i++) {
      back = await api.undo(theirs.id, state.revision)
      state = back
    }
    this.steps = []
    this.onto(back)
    return true
  }

  /** The changes that a deleted build left, as a new build of their own. */
  async asNew(): Promise<number> {
    const state = await api.create(JSON.stringify(this.told.newest), this.uid, 'saved anew after it was deleted')
    this.steps = []
    this.put()
    return state.id
  }
}
