import type { LiveLink } from '#shared/live'
import type { LiveNews, TellLive } from './liveSource'

/** A page that joined. */
export interface LiveListener {
  postMessage: (news: LiveNews) => void
}

/**
 * Hands on what one line tells to every page of the browser; one that joins later is told how things stand.
 * @returns takes a page in, and gives back how to let it go
 */
export function shareLive(open: (tell: TellLive) => void): (page: LiveListener) => () => void {
  const pages = new Set<LiveListener>()
  let links: Map<string, LiveLink> | null = null
  open(news => {
    if (news.kind === 'lost') links = null
    if (news.kind === 'hello') links = new Map(news.message.links.map(l => [l.instrumentId, l]))
    if (news.kind === 'link') links?.set(news.message.instrumentId, news.message)
    for (const page of pages) page.postMessage(news)
  })
  return page => {
    pages.add(page)
    if (links) {
      page.postMessage({ kind: 'open' })
      page.postMessage({ kind: 'hello', message: { links: [...links.values()] } })
    }
    return () => pages.delete(page)
  }
}
