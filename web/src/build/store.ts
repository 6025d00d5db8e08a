import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, Offline, Problem, type BuildState, type FaultView, type OptionAnswer } from '../api/client'
import { apply, at, freeLetter, touched, type Edit } from '../document/edit'
import type { BuildDocument } from '../document/types'
import { Catalogue } from '../quantity/catalogue'
import * as shelf from './shelf'
import type { Unsaved } from './shelf'

/** Two sides of a build changed in two windows. */
export interface Conflict {
  theirs: BuildState
  mine: Unsaved
}

/** How a change of the document ended for the one who asked for it. */
export type Outcome = { done: true } | { done: false; fault: FaultView }

type Answers = Record<string, OptionAnswer>

/** The build on screen: its document, its answers, what they were before, and the way to the server. */
export const useBuild = defineStore('build', () => {
  const catalogue = shallowRef<Catalogue>()
  const state = shallowRef<BuildState>()
  const document = shallowRef<BuildDocument>()
  const answers = shallowRef<Answers>({})
  /** The document that the answers on screen belong to; runs behind the one being edited. */
  const answered = shallowRef<BuildDocument>()
  const before = shallowRef<{ answers: Answers; change: string }>()
  const letter = ref('A')
  const against = ref<string>()
  const ghostMode = ref<'option' | 'before'>('option')
  const conflict = shallowRef<Conflict>()
  const offline = ref(false)
  const failure = ref('')
  const notice = ref('')
  const saving = ref(false)
  const working = ref(0)
  const unsaved = shallowRef<Unsaved>()
  let turn: Promise<unknown> = Promise.resolve()
  let lastGood: BuildDocument | undefined
  let retry: ReturnType<typeof setTimeout> | undefined
  let savingNow: Promise<void> = Promise.resolve()

  /** Nothing is being computed and nothing is waiting to be saved. */
  const settled = computed(() => working.value === 0 && !saving.value && !unsaved.value)
  const option = computed(() => document.value?.options.find((o) => o.letter === letter.value))
  const optionIndex = computed(() => document.value?.options.findIndex((o) => o.letter === letter.value) ?? -1)
  const answer = computed(() => answers.value[letter.value])
  const ghost = computed<{ answer: OptionAnswer; label: string } | undefined>(() => {
    if (ghostMode.value === 'before') {
      const was = before.value?.answers[letter.value]
      return was?.steady ? { answer: was, label: 'before' } : undefined
    }
    const other = against.value && against.value !== letter.value ? answers.value[against.value] : undefined
    return other?.steady ? { answer: other, label: other.option } : undefined
  })

  /**
   * One thing after the other: an edit starts from what the edit before it left, and is saved after it, however quickly they
   * are typed and whichever answer comes back first.
   */
  function inTurn<A extends unknown[], R>(act: (...args: A) => Promise<R>): (...args: A) => Promise<R> {
    return (...args) => {
      working.value++
      const mine = turn.then(() => act(...args)).finally(() => working.value--)
      turn = mine.catch(() => undefined)
      return mine
    }
  }

  async function ready(): Promise<void> {
    if (!catalogue.value) catalogue.value = new Catalogue(await api.fields())
  }

  async function open(id: number, wanted?: string, versus?: string): Promise<void> {
    await ready()
    const fresh = await api.build(id)
    before.value = undefined
    conflict.value = undefined
    failure.value = ''
    notice.value = ''
    ghostMode.value = 'option'
    state.value = fresh
    document.value = lastGood = fresh.document
    const letters = fresh.document.options.map((o) => o.letter)
    letter.value = wanted && letters.includes(wanted) ? wanted : letters.at(-1)!
    against.value = versus && letters.includes(versus) ? versus : letters.find((l) => l !== letter.value)
    answers.value = {}
    await answerAll(fresh.document)
    await bringBack(id)
  }

  /** An edit kept by an earlier page that the server never got. */
  async function bringBack(id: number): Promise<void> {
    const left = await shelf.takeOver(id)
    if (!left || !state.value) return
    unsaved.value = left
    if (left.revision === state.value.revision) {
      document.value = lastGood = left.document
      notice.value = `Brought back an edit that was not saved: ${left.change}.`
      await answerAll(left.document)
      save()
    } else {
      conflict.value = { theirs: state.value, mine: left }
    }
  }

  function shelve(mine: Unsaved): void {
    unsaved.value = mine
    shelf.shelve(mine)
  }

  function clearShelf(id: number): void {
    unsaved.value = undefined
    shelf.clearShelf(id)
  }

  /** The charge line first, which is quick; the duty right behind it. */
  async function answerAll(doc: BuildDocument, letters?: string[]): Promise<void> {
    const were = answers.value
    const lines = await api.preview(doc, letters, 'LINE')
    const fresh: Answers = letters ? { ...were } : {}
    for (const a of lines.answers) fresh[a.option] = a.fault ? a : { ...a, soak: were[a.option]?.soak }
    answers.value = fresh
    answered.value = doc
    offline.value = false
    const solved = lines.answers.filter((a) => !a.fault).map((a) => a.option)
    if (solved.length === 0) return
    const duties = await api.preview(doc, solved, 'DUTY')
    const whole: Answers = { ...answers.value }
    for (const a of duties.answers) whole[a.option] = a.fault ? a : { ...whole[a.option]!, soak: a.soak }
    answers.value = whole
  }

  /** Makes edits: the answers follow at once, the server keeps them behind. A refused edit changes nothing. */
  async function edit(edits: Edit[], change: string): Promise<Outcome> {
    if (!document.value || !state.value) return { done: true }
    const real = edits.filter((e) => at(document.value, e.pointer) !== e.value)
    if (real.length === 0) return { done: true }
    return replace(apply(document.value, real), change, touched(document.value, real))
  }

  /** As {@link edit}, for buttons and choices, which have no place of their own to say why not: the strip below says it. */
  async function act(edits: Edit[], change: string): Promise<Outcome> {
    return told(await useBuild().edit(edits, change))
  }

  function told(outcome: Outcome): Outcome {
    if (!outcome.done) failure.value = outcome.fault.sentence
    return outcome
  }

  async function replace(next: BuildDocument, change: string, letters?: string[]): Promise<Outcome> {
    const were = answers.value
    document.value = next
    failure.value = ''
    notice.value = ''
    try {
      await answerAll(next, letters)
    } catch (e) {
      if (e instanceof Problem && e.fault) {
        document.value = lastGood
        return { done: false, fault: e.fault }
      }
      if (!(e instanceof Offline)) {
        document.value = lastGood
        failure.value = (e as Error).message
        return { done: true }
      }
      offline.value = true
    }
    lastGood = next
    before.value = { answers: were, change }
    ghostMode.value = 'before'
    shelve({ build: state.value!.id, revision: state.value!.revision, change, document: next })
    save()
    return { done: true }
  }

  /** Sends what is unsaved, one request after the other. */
  function save(): void {
    savingNow = savingNow.then(sendUnsaved)
  }

  async function sendUnsaved(): Promise<void> {
    const mine = unsaved.value
    if (!mine || !state.value || mine.build !== state.value.id || conflict.value) return
    saving.value = true
    try {
      const kept = await api.save(mine.build, state.value.revision, mine.document, mine.change)
      state.value = kept
      if (unsaved.value === mine) clearShelf(mine.build)
      else if (unsaved.value) shelve({ ...unsaved.value, revision: kept.revision })
      offline.value = false
    } catch (e) {
      if (e instanceof Problem && e.status === 409 && e.theirs) conflict.value = { theirs: e.theirs, mine }
      else if (e instanceof Offline) {
        offline.value = true
        clearTimeout(retry)
        retry = setTimeout(again, 2000)
      } else failure.value = (e as Error).message
    } finally {
      saving.value = false
    }
  }

  async function again(): Promise<void> {
    save()
    await savingNow
    if (!offline.value && document.value) await inTurn(answerAll)(document.value).catch(() => undefined)
  }

  /** Lays my document over theirs: theirs stays in the history. */
  async function keepMine(): Promise<void> {
    const clash = conflict.value
    if (!clash) return
    state.value = clash.theirs
    conflict.value = undefined
    shelve({ ...clash.mine, revision: clash.theirs.revision })
    document.value = lastGood = clash.mine.document
    await answerAll(clash.mine.document)
    save()
  }

  /** Goes on with theirs. Mine is put into the history first and undone, so that redo can bring it back. */
  async function takeTheirs(): Promise<void> {
    const clash = conflict.value
    if (!clash) return
    const mine = await api.save(clash.mine.build, clash.theirs.revision, clash.mine.document, clash.mine.change)
    const theirs = await api.undo(clash.mine.build, mine.revision)
    clearShelf(clash.mine.build)
    conflict.value = undefined
    notice.value = `Went on with the other window's version. Redo brings back yours: ${clash.mine.change}.`
    await show(theirs)
  }

  async function show(next: BuildState): Promise<void> {
    const were = answers.value
    state.value = next
    document.value = lastGood = next.document
    if (!next.document.options.some((o) => o.letter === letter.value)) letter.value = next.document.options.at(-1)!.letter
    if (!next.document.options.some((o) => o.letter === against.value)) against.value = undefined
    await answerAll(next.document)
    before.value = { answers: were, change: next.change }
    ghostMode.value = 'before'
  }

  async function travel(way: 'undo' | 'redo'): Promise<void> {
    await savingNow
    if (!state.value || !state.value[way]) return
    const what = state.value[way]
    try {
      await show(await api[way](state.value.id, state.value.revision))
      notice.value = way === 'undo' ? `Undone: ${what}.` : `Done again: ${what}.`
    } catch (e) {
      if (e instanceof Problem && e.theirs) {
        await show(e.theirs)
        notice.value = 'This build was changed in another window; here is its newest version.'
      } else failure.value = (e as Error).message
    }
  }

  function choose(l: string): void {
    if (l === letter.value) return
    against.value = letter.value
    letter.value = l
    ghostMode.value = 'option'
  }

  /** A copy of the shown option with edits by pointers within it; shown at once against the one it came from. */
  async function addOption(name: string, edits: Edit[], change: string): Promise<Outcome> {
    const from = option.value
    const l = document.value && freeLetter(document.value.options)
    if (!document.value || !from || !l) return { done: true }
    const i = document.value.options.length
    const copy = { ...structuredClone(from), letter: l, name }
    const grown = { ...document.value, options: [...document.value.options, copy] }
    const next = apply(grown, edits.map((e) => ({ ...e, pointer: `/options/${i}${e.pointer}` })))
    const outcome = await replace(next, change, [l])
    if (outcome.done) {
      against.value = from.letter
      letter.value = l
      ghostMode.value = 'option'
    }
    return told(outcome)
  }

  async function removeOption(l: string): Promise<void> {
    if (!document.value || document.value.options.length < 2) return
    const options = document.value.options.filter((o) => o.letter !== l)
    if (letter.value === l) letter.value = options.at(-1)!.letter
    if (against.value === l) against.value = options.find((o) => o.letter !== letter.value)?.letter
    await replace({ ...document.value, options }, `option ${l} taken out`, [letter.value])
    ghostMode.value = 'option'
  }

  return {
    catalogue, state, document, answers, answered, answer, option, optionIndex, letter, against, ghost, ghostMode, before, conflict, offline,
    failure, notice, saving, settled, unsaved, ready, choose,
    open: inTurn(open),
    edit: inTurn(edit),
    act,
    travel: inTurn(travel),
    addOption: inTurn(addOption),
    removeOption: inTurn(removeOption),
    keepMine: inTurn(keepMine),
    takeTheirs: inTurn(takeTheirs),
  }
})
