import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { api, type JobKind, type JobView } from '../api/client'
import type { BuildDocument } from '../document/types'

/** A long computation on the server: begun, watched by its events, cancelled when it is not wanted any more. */
export function useJob(kind: JobKind) {
  const job = shallowRef<JobView>()
  const failed = ref('')
  const running = computed(() => job.value?.state === 'RUNNING')
  const progress = computed(() => (job.value ? job.value.done / Math.max(job.value.of, 1) : 0))
  let events: EventSource | undefined
  let ticket = 0

  /** @param more what the question says besides */
  async function start(document: BuildDocument, option: string, more: object = {}): Promise<void> {
    cancel()
    const mine = ++ticket
    failed.value = ''
    try {
      const begun = await api.startJob(kind, document, option, more)
      if (mine !== ticket) return void api.cancelJob(begun.id).catch(() => undefined)
      job.value = begun
      watch(begun.id, mine)
    } catch (e) {
      failed.value = (e as Error).message
    }
  }

  function watch(id: string, mine: number): void {
    events = new EventSource(`/api/jobs/${id}/events`)
    events.addEventListener('progress', (event) => {
      if (mine !== ticket) return
      job.value = JSON.parse((event as MessageEvent<string>).data) as JobView
      if (job.value.state !== 'RUNNING') close()
      if (job.value.fault) failed.value = job.value.fault.sentence
    })
    events.onerror = () => {
      close()
      if (mine === ticket && running.value) {
        job.value = undefined
        failed.value = 'The server does not answer. Ask again.'
      }
    }
  }

  function close(): void {
    events?.close()
    events = undefined
  }

  /** Drops it, wherever it stands. */
  function cancel(): void {
    ticket++
    close()
    if (running.value) void api.cancelJob(job.value!.id).catch(() => undefined)
    job.value = undefined
  }

  onScopeDispose(cancel)
  return { job, failed, running, progress, start, cancel }
}
