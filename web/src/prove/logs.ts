import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, type LogBeside, type LogCard, type LogMarks } from '../api/client'
import { useDesign } from '../build/design'
import { useBuild } from '../build/store'

/** How long a build stands before its log is laid beside it anew, ms. */
const STANDS = 150

/** Logs of the build on screen, the one that is looked at, and what is found of it beside the option. */
export const useLogs = defineStore('logs', () => {
  const build = useBuild()
  const design = useDesign()
  const of = ref<number>()
  const list = shallowRef<LogCard[]>()
  const chosen = ref<number>()
  const failed = ref('')
  const told = shallowRef<{ log: number; beside: LogBeside }>()
  let question: AbortController | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  const log = computed(() => list.value?.find((l) => l.id === chosen.value))
  /** The last answer stays in sight until the next has come. */
  const beside = computed(() => (told.value && told.value.log === chosen.value ? told.value.beside : undefined))

  /** Reads the list of a build; what belonged to another goes. */
  async function open(id: number): Promise<void> {
    if (of.value !== id) {
      of.value = id
      list.value = undefined
      chosen.value = undefined
      told.value = undefined
    }
    failed.value = ''
    try {
      const logs = await api.logs(id)
      if (of.value !== id) return
      list.value = logs
      if (!log.value) chosen.value = logs[0]?.id
    } catch (e) {
      if (of.value === id) failed.value = (e as Error).message
    }
  }

  /** One that was read, or is called otherwise now. */
  function put(card: LogCard): void {
    const others = (list.value ?? []).filter((l) => l.id !== card.id)
    const place = list.value?.findIndex((l) => l.id === card.id) ?? -1
    list.value = place < 0 ? [card, ...others] : [...others.slice(0, place), card, ...others.slice(place)]
  }

  async function rename(id: number, name: string): Promise<void> {
    put(await api.renameLog(id, name))
  }

  /** What the reader puts right in the parts of a log. */
  async function mark(id: number, marks: LogMarks): Promise<void> {
    put(await api.markLog(id, marks))
    if (chosen.value === id && build.document) await ask()
  }

  async function remove(id: number): Promise<void> {
    await api.deleteLog(id)
    list.value = list.value?.filter((l) => l.id !== id)
    if (chosen.value === id) chosen.value = list.value?.[0]?.id
  }

  async function ask(): Promise<void> {
    const mine = (question = new AbortController())
    const id = chosen.value!
    try {
      const beside = await api.besideLog(id, build.document!, build.letter, mine.signal)
      if (mine === question) {
        told.value = { log: id, beside }
        failed.value = ''
        question = undefined
      }
    } catch (e) {
      if (mine === question) failed.value = (e as Error).message
    }
  }

  watch([chosen, () => design.document, () => build.letter], ([id, document]) => {
    clearTimeout(timer)
    const stands = question || told.value?.log === id ? STANDS : 0
    question?.abort()
    question = undefined
    if (id !== undefined && document) timer = setTimeout(() => void ask(), stands)
  })

  return { list, chosen, log, beside, failed, open, put, rename, mark, remove }
})
