import { computed, shallowRef } from 'vue'
import type { JobKind, JobView } from '../api/client'
import { useDesign } from '../build/design'
import { useBuild } from '../build/store'
import type { BuildDocument } from '../document/types'
import { useJob } from '../jobs/job'

/** A job about a log beside the option on screen: what came of it belongs to the document, option and log it was asked for, and is gone with them. */
export function useLogJob(kind: JobKind, log: () => number) {
  const build = useBuild()
  const design = useDesign()
  const job = useJob(kind)
  const asked = shallowRef<{ document: BuildDocument; letter: string; log: number }>()
  const fresh = computed(() => asked.value?.document === design.document && asked.value?.letter === build.letter && asked.value?.log === log())
  const done = computed<JobView | undefined>(() => (fresh.value && job.job.value?.state === 'DONE' ? job.job.value : undefined))
  const running = computed(() => fresh.value && job.running.value)
  const failed = computed(() => (fresh.value ? job.failed.value : ''))
  function start(): void {
    asked.value = { document: design.document!, letter: build.letter, log: log() }
    void job.start(build.document!, build.letter, { log: log() })
  }
  return { done, running, failed, progress: job.progress, start, cancel: job.cancel }
}
