import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { useDesign } from '../build/design'
import { useBuild } from '../build/store'
import type { BuildDocument } from '../document/types'
import { useJob } from './job'

/** How far the answer on screen can be off. An answer belongs to the document it was asked for; an edit makes it stale. */
export const useSpread = defineStore('spread', () => {
  const build = useBuild()
  const design = useDesign()
  const job = useJob('spread')
  const asked = shallowRef<{ document: BuildDocument; letter: string }>()
  const fresh = computed(() => asked.value !== undefined && asked.value.document === design.document && asked.value.letter === build.letter)
  const view = computed(() => (fresh.value && job.job.value?.state === 'DONE' ? job.job.value.spread : undefined))
  const running = computed(() => fresh.value && job.running.value)

  function ask(): void {
    asked.value = { document: design.document!, letter: build.letter }
    void job.start(build.document!, build.letter)
  }

  function cancel(): void {
    asked.value = undefined
    job.cancel()
  }

  return { view, running, progress: job.progress, failed: job.failed, ask, cancel }
})
