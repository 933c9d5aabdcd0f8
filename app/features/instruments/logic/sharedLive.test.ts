import { describe, expect, it } from 'vitest'
import type { LiveLink } from '#shared/live'
import type { LiveNews, TellLive } from './liveSource'
import { shareLive } from './sharedLive'

const link = (instrumentId: string, state: LiveLink['state'] = 'live') =>
  ({ instrumentId, instrument: instrumentId, state }) as LiveLink
function shared() {
  let tell: TellLive = () => {}
  let lines = 0
  const join = shareLive(t => {
    tell = t
    lines++
  })
  const page = () => {
    const heard: LiveNews[] = []
    return { heard, ...join({ postMessage: news => heard.push(news) }) }
  }
  return { tell: (news: LiveNews) => tell(news), page, lines: () => lines }
}
const poll = { kind: 'poll', message: { instrumentId: 'a' } } as LiveNews

describe('One line to the instruments for all pages of a browser', () => {
  it('is opened once, and tells every page', () => {
    const { tell, page, lines } = shared()
    const [one, two] = [page(), page()]
    tell({ kind: 'open' })
    tell(poll)
    expect([one.heard, two.heard, lines()]).toEqual([[{ kind: 'open' }, poll], [{ kind: 'open' }, poll], 1])
  })

  it('tells a page that joins later every instrument as it stands now', () => {
    const { tell, page } = shared()
    tell({ kind: 'open' })
    tell({ kind: 'hello', message: { links: [link('a'), link('b')] } })
    tell({ kind: 'link', message: link('b', 'silent') })
    expect(page().heard).toEqual([
      { kind: 'open' },
      { kind: 'hello', message: { links: [link('a'), link('b', 'silent')] } },
    ])
  })

  it('tells one that joins while it is lost nothing of before', () => {
    const { tell, page } = shared()
    tell({ kind: 'hello', message: { links: [link('a')] } })
    tell({ kind: 'lost' })
    const late = page()
    expect(late.heard).toEqual([])
    tell({ kind: 'open' })
    expect(late.heard).toEqual([{ kind: 'open' }])
  })

  it('tells one that takes nothing in no more than so much, and how things stand once it took that in', () => {
    const { tell, page } = shared()
    const awake = page()
    const frozen = page()
    tell({ kind: 'open' })
    tell({ kind: 'hello', message: { links: [link('a')] } })
    for (let n = 0; n < 1000; n++) {
      tell(poll)
      awake.read()
    }
    tell({ kind: 'link', message: link('a', 'silent') })
    expect([awake.heard.length, frozen.heard.length]).toEqual([1003, 200])
    for (let n = 0; n < 200; n++) frozen.read()
    expect(frozen.heard.slice(200)).toEqual([
      { kind: 'open' },
      { kind: 'hello', message: { links: [link('a', 'silent')] } },
    ])
    tell(poll)
    expect(frozen.heard.at(-1)).toBe(poll)
  })

  it('tells one that slept while the line was lost that it is', () => {
    const { tell, page } = shared()
    const frozen = page()
    tell({ kind: 'hello', message: { links: [link('a')] } })
    for (let n = 0; n < 300; n++) tell(poll)
    tell({ kind: 'lost' })
    for (let n = 0; n < 200; n++) frozen.read()
    expect(frozen.heard.slice(200)).toEqual([{ kind: 'lost' }])
  })

  it('tells a page that left nothing more', () => {
    const { tell, page } = shared()
    const { heard, leave } = page()
    leave()
    tell(poll)
    expect(heard).toEqual([])
  })
})
