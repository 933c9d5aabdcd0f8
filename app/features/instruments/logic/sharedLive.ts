import type { LiveLink } from '#shared/live'
import type { LiveNews, TellLive } from './liveSource'

/** A page that joined. */
export interface LiveListener {
  postMessage: (news: LiveNews) => void
}
export interface LiveMembership {
  /** the page took in one more piece of news */
  read: () => void
  leave: () => void
}

/** So much waits for a page that takes nothing in: one that is frozen or gone must not fill the memory. */
const MAX_UNREAD = 200

/**
 * Hands on what one connection tells to every page of the browser. One that joins later, or wakes up again,
 * is told how things stand.
 * @returns takes a page in
 */
export function shareLive(open: (tell: TellLive) => void): (page: LiveListener) => LiveMembership {
  const members = new Set<{ page: LiveListener; unread: number; missed: boolean }>()
  let links: Map<string, LiveLink> | null = null
  type Member = typeof members extends Set<infer M> ? M : never
  const post = (to: Member, news: LiveNews) => {
    if (to.unread >= MAX_UNREAD) {
      to.missed = true
      return
    }
    to.unread++
    to.page.postMessage(news)
  }
  const tellStanding = (to: Member) => {
    if (!links) return
    post(to, { kind: 'open' })
    post(to, { kind: 'hello', message: { links: [...links.values()] } })
  }
  open(news => {
    if (news.kind === 'lost') links = null
    if (news.kind === 'hello') links = new Map(news.message.links.map(l => [l.instrumentId, l]))
    if (news.kind === 'link') links?.set(news.message.instrumentId, news.message)
    for (const member of members) post(member, news)
  })
  return page => {
    const member: Member = { page, unread: 0, missed: false }
    members.add(member)
    tellStanding(member)
    return {
      read: () => {
        member.unread--
        if (member.unread > 0 || !member.missed) return
        member.missed = false
        if (links) tellStanding(member)
        else post(member, { kind: 'lost' })
      },
      leave: () => members.delete(member),
    }
  }
}
