import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, Offline, Problem, type BuildState, type OptionAnswer } from '../api/client'
import { at, freeLetter, touched, type Edit } from '../document/edit'
import type { BuildDocument, BuildOption, DutyDocument } from '../document/types'
import { Catalogue } from '../quantity/catalogue'
import { answering, type Answers, type Asked } from './answering'
import { copyOf } from './copy'
import { dragging } from './dragging'
import { Keeper, plainFault, type Outcome } from './keeper'
import * as shelf from './shelf'

export type { Outcome } from './keeper'

/** An earlier version on screen instead of the newest. */
export interface Looking {
  revision: number
  document: BuildDocument
  change: string
}

export type { Asked }

/** The build on screen: its document, its answers, what they were before. {@link Keeper} takes what is changed to the disk. */
export const useBuild = defineStore('build', () => {
  const catalogue = shallowRef<Catalogue>()
  const keeper = shallowRef<Keeper>()
  const looking = shallowRef<Looking>()
  const before = shallowRef<{ answers: Answers; change: string; duty?: DutyDocument }>()
  const letter = ref('A')
  const against = ref<string>()
  const ghostMode = ref<'option' | 'before'>('option')
  const trouble = ref('')
  const notice = ref('')
  /** Builds left with something still on its way to the disk. */
  const behind = new Map<number, Keeper>()
  /** Which build was opened last; what comes for another is not shown. */
  let session = 0

  const { dragged, drag, letGo } = dragging(
    () => (looking.value ? undefined : keeper.value?.told.newest),
    () => {
      outdate([letter.value])
      void ask()
      return lined()
    },
    before,
    ghostMode,
    (change) => ({ answers: answers.value, change, duty: answered.value?.duty }),
  )
  const document = computed(() => looking.value?.document ?? dragged.value ?? keeper.value?.told.newest)
  const inRoom = ref(false)
  const { answers, answered, asking, away, forget, outdate, ask, shown, lined } = answering(
    document,
    (sentence) => (trouble.value = sentence),
    () => (inRoom.value ? letter.value : undefined),
  )
  const told = computed(() => keeper.value?.told)
  const conflict = computed(() => told.value?.conflict)
  const hold = computed(() => told.value?.hold)
  const offline = computed(() => away.value || hold.value?.kind === 'offline')
  const failure = computed(
    () =>
      trouble.value ||
      told.value?.refused ||
      (told.value?.unshelved ? 'This browser has no room left to keep edits until they are saved. Do not close the page before they are.' : ''),
  )
  /** Nothing is being computed and nothing is waiting to be saved. */
  const settled = computed(() => asking.value === 0 && !told.value?.waiting && !told.value?.sending && !told.value?.working)
  const option = computed(() => document.value?.options.find((o) => o.letter === letter.value))
  const optionIndex = computed(() => document.value?.options.findIndex((o) => o.letter === letter.value) ?? -1)
  /** Where the option on screen stands, for edits. */
  const optionAt = computed(() => `/options/#${letter.value}`)
  const answer = computed(() => answers.value[letter.value])
  /** What the answer on screen is compared with; what it did over another duty stands on no common time. */
  const ghost = computed<{ answer: OptionAnswer; label: string; sameDuty: boolean } | undefined>(() => {
    if (ghostMode.value === 'before') {
      const was = before.value?.answers[letter.value]
      const sameDuty = JSON.stringify(before.value?.duty) === JSON.stringify(document.value?.duty)
      return was?.steady ? { answer: was, label: 'before', sameDuty } : undefined
    }
    const other = against.value && against.value !== letter.value ? answers.value[against.value] : undefined
    return other?.steady ? { answer: other, label: other.option, sameDuty: true } : undefined
  })
  const canUndo = computed(() => (looking.value ? undefined : told.value?.waiting ? keeper.value!.unsent.undo : told.value?.undo))
  const canRedo = computed(() =>
    looking.value ? undefined : (told.value?.hold && keeper.value!.unsent.redo) || (told.value?.waiting ? undefined : told.value?.redo),
  )

  async function ready(): Promise<void> {
    if (!catalogue.value) catalogue.value = new Catalogue(await api.fields())
  }

  async function open(id: number, wanted?: string, versus?: string): Promise<void> {
    const mine = begin()
    await ready()
    const left = behind.get(id)
    const state = left ? undefined : await api.build(id)
    if (mine !== session) return
    const found = left ?? new Keeper(state!.uid, state!.document, state!, await shelf.takeOver((s) => s.build === id && s.uid === state!.uid))
    if (mine !== session) return
    show(found, wanted, versus)
    if (!left && found.told.waiting) {
      notice.value = `Brought back what was not saved: ${found.unsent.undo}.`
      void found.run()
    }
    await ask()
  }

  function begin(): number {
    letGo()
    forget()
    leave()
    looking.value = undefined
    before.value = undefined
    trouble.value = ''
    notice.value = ''
    ghostMode.value = 'option'
    return ++session
  }

  /** Another build, or none, comes on screen; this one is saved to the end all the same. */
  function leave(): void {
    const k = keeper.value
    keeper.value = undefined
    if (k) k.pace = undefined
    if (!k || k.settled) return
    const id = k.told.id
    behind.set(id, k)
    const stop = watch(
      () => [k.told.waiting, k.told.sending, k.told.working],
      () => {
        if (!k.settled) return
        stop()
        if (keeper.value !== k) behind.delete(id)
      },
    )
  }

  function show(found: Keeper, wanted?: string, versus?: string): void {
    keeper.value = found
    // The disk can wait for the eye: what is changed is on the shelf meanwhile.
    found.pace = shown
    behind.delete(found.told.id)
    const letters = found.told.newest.options.map((o) => o.letter)
    letter.value = wanted && letters.includes(wanted) ? wanted : letters.at(-1)!
    against.value = versus && letters.includes(versus) ? versus : letters.find((l) => l !== letter.value)
  }

  watch(hold, (held, before) => {
    if (before && !held) {
      outdate()
      void ask()
    }
  })

  /** Edits of this very build, also when another is on screen by the time they come. */
  function here() {
    const k = keeper.value
    return {
      /** Makes edits: the screen follows at once, the server keeps them behind. A refused edit is taken back, alone. */
      edit: (edits: Edit[], change: string): Promise<Outcome> => editIn(k, edits, change),
      /** As edit, for buttons and choices, which have no place of their own to say why not: the strip below says it. */
      act: async (edits: Edit[], change: string): Promise<Outcome> => said(k, await editIn(k, edits, change)),
      /** As act, for an edit that the server is asked about first. @throws Error as `ask` does */
      worked: async (ask: (document: BuildDocument) => Promise<Edit[]>, change: string): Promise<Outcome> =>
        k ? said(k, await k.worked(ask, (edits) => editIn(k, edits, change))) : { done: true },
    }
  }

  function said(k: Keeper | undefined, outcome: Outcome): Outcome {
    if (!outcome.done && k === keeper.value) trouble.value = outcome.fault.sentence
    return outcome
  }

  async function editIn(k: Keeper | undefined, edits: Edit[], change: string): Promise<Outcome> {
    if (!k) return { done: true }
    if (k === keeper.value && looking.value) {
      const sentence = `This is version ${looking.value.revision}, to look at. Bring it back, or go back to the newest, to change something.`
      return { done: false, fault: plainFault(sentence) }
    }
    const now = k.told.newest
    const real = edits.filter((e) => !('pointer' in e) || at(now, e.pointer) !== e.value)
    if (real.length === 0) return { done: true }
    const letters = touched(now, real)
    const compared = { with: before.value, how: ghostMode.value }
    const outcome = k.add(change, real)
    if (k !== keeper.value || k.told.newest === now) return outcome
    changed(letters, change)
    const mine = before.value
    const judged = await outcome
    // What was refused has changed nothing, nor what the reader compares with.
    if (!judged.done && before.value === mine) {
      before.value = compared.with
      ghostMode.value = compared.how
    }
    return judged
  }

  /** The document on screen has changed: its answers follow. */
  function changed(letters: string[] | undefined, change: string): void {
    trouble.value = ''
    notice.value = ''
    // What is only written down moves no answer: there is nothing to compare.
    if (letters?.length !== 0) {
      before.value = { answers: answers.value, change, duty: answered.value?.duty }
      ghostMode.value = 'before'
    }
    outdate(letters)
    void ask()
  }

  async function travel(way: 'undo' | 'redo'): Promise<void> {
    const k = keeper.value
    if (!k || !(way === 'undo' ? canUndo.value : canRedo.value)) return
    if (!k.travelling && !(await k.drained())) {
      const done = way === 'undo' ? k.undoUnsent() : k.redoUnsent()
      if (k !== keeper.value) return
      if ('not' in done) trouble.value = done.not
      else {
        changed(undefined, done.change)
        notice.value = way === 'undo' ? `Undone: ${done.change}.` : `Done again: ${done.change}.`
      }
      return
    }
    try {
      const what = await k.travel(way)
      if (what) arrived(k, way === 'undo' ? `Undone: ${what}.` : `Done again: ${what}.`)
    } catch (e) {
      if (e instanceof Problem && e.theirs) arrived(k, 'This build was changed in another window; here is its newest version.')
      else if (k === keeper.value)
        trouble.value = e instanceof Offline ? 'The server does not answer; nothing was undone. Try again when it is back.' : (e as Error).message
    }
  }

  /** Another version of the build is the newest now. */
  function arrived(k: Keeper, words: string): void {
    if (k !== keeper.value) return
    const options = k.told.newest.options
    if (!options.some((o) => o.letter === letter.value)) letter.value = options.at(-1)!.letter
    if (!options.some((o) => o.letter === against.value)) against.value = undefined
    changed(undefined, words)
    notice.value = words
  }

  async function keepMine(): Promise<void> {
    const k = keeper.value
    await k?.keepMine()
    if (k) arrived(k, 'Yours is laid over the other window\u2019s version, which stays in the history.')
  }

  async function takeTheirs(): Promise<void> {
    const k = keeper.value
    if (!k) return
    const change = k.unsent.undo
    try {
      if (await k.takeTheirs()) arrived(k, `Went on with the other window's version. Redo brings back yours: ${change}.`)
    } catch (e) {
      trouble.value = (e as Error).message
    }
  }

  function choose(l: string): void {
    if (l === letter.value) return
    against.value = letter.value
    letter.value = l
    ghostMode.value = 'option'
  }

  /**
   * A copy of the shown option with edits by pointers within it; shown at once against the one it came from.
   *
   * @param asked what the edits' places count in, where an answer brought them: the document may have moved on
   */
  /** @param also what changes beside the option, as an obstacle that is moved for it */
  async function addOption(
    name: string,
    edits: (Edit | { pointer: string; value?: unknown })[],
    change: string,
    asked?: Asked,
    also: Edit[] = [],
  ): Promise<Outcome> {
    const k = keeper.value
    const now = k?.told.newest
    const from = now?.options.find((o) => o.letter === (asked?.letter ?? letter.value))
    const l = now && freeLetter(now.options)
    if (!k || !now || !from || !l) return { done: true }
    let made
    try {
      made = copyOf(from, l, name, edits, asked?.document ?? now)
    } catch (e) {
      return said(k, { done: false, fault: plainFault((e as Error).message) })
    }
    return putOption(made, from.letter, change, also)
  }

  /** A whole option, of a letter that is free; shown at once against the one it came from. */
  async function putOption(made: BuildOption, from: string, change: string, also: Edit[] = []): Promise<Outcome> {
    const k = keeper.value
    const now = k?.told.newest
    const outcome = editIn(k, [...also, { list: '/options', put: made }], change)
    if (k && k === keeper.value && k.told.newest !== now) {
      against.value = from
      letter.value = made.letter
      ghostMode.value = 'option'
    }
    const ended = said(k, await outcome)
    if (!ended.done && letter.value === made.letter) letter.value = from
    return ended
  }

  async function removeOption(l: string): Promise<void> {
    const options = document.value?.options.filter((o) => o.letter !== l)
    if (!options?.length) return
    if (letter.value === l) letter.value = options.at(-1)!.letter
    if (against.value === l || against.value === letter.value) against.value = options.find((o) => o.letter !== letter.value)?.letter
    const fit = document.value?.fitted?.option === l ? [{ pointer: '/fitted', value: undefined }] : []
    await here().act([...fit, { row: `/options/#${l}`, out: true }], `option ${l} taken out`)
    ghostMode.value = 'option'
  }

  /** Shows an earlier version, to look at; undefined goes back to the newest. */
  async function look(revision?: number): Promise<void> {
    const k = keeper.value
    if (!k) return
    if (revision === undefined) looking.value = undefined
    else {
      const mine = session
      let state: BuildState
      try {
        state = await api.revision(k.told.id, revision)
      } catch (e) {
        if (mine === session) trouble.value = (e as Error).message
        return
      }
      if (mine !== session) return
      looking.value = { revision, document: state.document, change: state.change }
    }
    const options = document.value!.options
    if (!options.some((o) => o.letter === letter.value)) letter.value = options.at(-1)!.letter
    against.value = options.find((o) => o.letter !== letter.value)?.letter
    changed(undefined, '')
    before.value = undefined
    ghostMode.value = 'option'
  }

  /** The version looked at becomes the newest, as a step of its own. */
  async function bringBack(): Promise<void> {
    const old = looking.value
    if (!old) return
    looking.value = undefined
    await here().act([{ pointer: '', value: old.document }], `version ${old.revision} brought back`)
  }

  return {
    catalogue,
    keeper,
    document,
    answers,
    answered,
    answer,
    option,
    optionIndex,
    optionAt,
    letter,
    against,
    ghost,
    ghostMode,
    inRoom,
    before,
    conflict,
    hold,
    offline,
    looking,
    failure,
    trouble,
    notice,
    settled,
    canUndo,
    canRedo,
    ready,
    choose,
    open,
    leave: begin,
    here,
    travel,
    addOption,
    putOption,
    removeOption,
    keepMine,
    takeTheirs,
    look,
    bringBack,
    drag,
    drop: (edits: Edit[], change: string) => letGo(edits.length ? () => useBuild().act(edits, change) : undefined),
    edit: (edits: Edit[], change: string) => here().edit(edits, change),
    act: async (edits: Edit[], change: string) => said(keeper.value, await useBuild().edit(edits, change)),
  }
})
