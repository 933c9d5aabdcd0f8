import type { LiveHello, LiveLink, LivePoll } from '#shared/live'

const RECONNECT_MS = 1000

/** What comes from the instruments, and how the connection to them is. */
export type LiveNews =
  | { readonly kind: 'open' | 'lost' }
  | { readonly kind: 'hello'; readonly message: LiveHello }
  | { readonly kind: 'link'; readonly message: LiveLink }
  | { readonly kind: 'poll'; readonly message: LivePoll }
export type TellLive = (news: LiveNews) => void

/**
 * A connection of one's own to the instruments; one that is lost is taken up again.
 * @returns ends it
 */
export function openLiveSource(tell: TellLive): () => void {
  let source: EventSource | null = null
  let isOver = false
  function open() {
    if (isOver) return
    source = new EventSource('/api/live')
    source.addEventListener('open', () => tell({ kind: 'open' }))
    for (const kind of ['hello', 'link', 'poll'] as const)
      source.addEventListener(kind, e => tell({ kind, message: JSON.parse(e.data) as never }))
    source.addEventListener('error', () => {
      source?.close()
      tell({ kind: 'lost' })
      setTimeout(open, RECONNECT_MS)
    })
  }
  open()
  return () => {
    isOver = true
    source?.close()
  }
}
