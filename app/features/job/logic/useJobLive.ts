import { onBeforeUnmount, ref, watch, type Ref } from 'vue'
import { v4 as uuid } from 'uuid'
import type { JobEvent } from '#core/run'
import type { RunPosition } from '#shared/jobLive'

const RECONNECT_MS = 2000

/** This screen, among the screens of a run. */
export const SCREEN = uuid()

/**
 * What is kept on a job elsewhere arrives here at once: a second screen of the same run. After a lost
 * connection everything is read again.
 * @returns `told`: how many entries the job had when the line was opened
 */
export function useJobLive(jobId: Ref<string>, take: (event: JobEvent) => void, again: () => void) {
  const connected = ref(false)
  const position = ref<RunPosition | null>(null)
  const told = ref<number | null>(null)
  let source: EventSource | null = null
  let gone = false
  let before = false

  function connect() {
    source?.close()
    if (gone) return
    source = new EventSource(`/api/jobs/${jobId.value}/live`)
    source.addEventListener('hello', e => {
      connected.value = true
      told.value = Number(e.data)
      // What was kept while the connection was down.
      if (before) again()
      before = true
    })
    source.addEventListener('event', e => take((JSON.parse(e.data) as { event: JobEvent }).event))
    source.addEventListener('position', e => {
      const told = (JSON.parse(e.data) as { position: RunPosition }).position
      if (told.screen !== SCREEN) position.value = told
    })
    source.addEventListener('again', again)
    source.addEventListener('error', () => {
      connected.value = false
      source?.close()
      source = null
      setTimeout(() => document.visibilityState === 'visible' && connect(), RECONNECT_MS)
    })
  }
  /**
   * A browser has six connections to a server for all its pages: one that nobody looks at gives its
   * connection back, and is read anew when it is looked at.
   */
  function looked() {
    if (document.visibilityState === 'visible') {
      before = false
      if (!source) connect()
    } else {
      source?.close()
      source = null
      connected.value = false
    }
  }
  if (typeof document !== 'undefined') document.addEventListener('visibilitychange', looked)
  watch(jobId, () => {
    position.value = null
    told.value = null
    before = false
    connect()
  })
  onBeforeUnmount(() => {
    gone = true
    document.removeEventListener('visibilitychange', looked)
    source?.close()
  })
  return { connected, position, told, connect }
}
