import { openLiveSource, type LiveNews, type TellLive } from './liveSource'

/**
 * The connection to the instruments. A browser has six of them to a server for all its pages together, so
 * they share one; where it has no shared workers, each page has its own.
 * @returns ends it for this page
 */
export function openLive(tell: TellLive): () => void {
  if (typeof SharedWorker === 'undefined') return openLiveSource(tell)
  let close: (() => void) | null = null
  const worker = new SharedWorker(new URL('../workers/live.worker.ts', import.meta.url), {
    type: 'module',
    name: 'diapason-live',
  })
  worker.port.onmessage = ({ data }: MessageEvent<LiveNews>) => {
    worker.port.postMessage('read')
    tell(data)
  }
  // One that cannot be started leaves the page to itself.
  worker.onerror = () => (close ??= openLiveSource(tell))
  return () => {
    worker.port.postMessage('bye')
    worker.port.close()
    close?.()
  }
}
