import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { api, type ChapterView, type MethodView, type ReasonView } from '../api/client'
import { useBuild } from '../build/store'

/** "How do you know?": opens the numbers of a piece to what gave them. */
export const useReasons = defineStore('reasons', () => {
  const build = useBuild()
  const visible = ref(false)
  const subject = ref('')
  const title = ref('')
  const reasons = shallowRef<ReasonView[]>([])
  const chapters = shallowRef<ChapterView[]>([])
  const failure = ref('')
  let question: AbortController | undefined

  /** @param about places whose numbers to open: "/path/3", "/engine" */
  async function open(about: string, words: string): Promise<void> {
    subject.value = about
    title.value = words
    failure.value = ''
    reasons.value = []
    visible.value = true
    question?.abort()
    const mine = (question = new AbortController())
    try {
      if (!chapters.value.length) chapters.value = await api.methods()
      const all = await api.reasons(build.document!, build.letter, mine.signal)
      if (mine === question) reasons.value = all.reasons.filter((r) => r.subject === about)
    } catch (e) {
      if (mine === question) failure.value = (e as Error).message
    }
  }

  function method(id: string): MethodView | undefined {
    return chapters.value.flatMap((c) => c.methods).find((m) => m.id === id)
  }

  return { visible, subject, title, reasons, failure, open, method }
})
