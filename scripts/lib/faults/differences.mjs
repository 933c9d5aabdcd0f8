import { isDeepStrictEqual } from 'node:util'

/**
 * What the server gives back against what it had acknowledged, in words: lost, doubled, never sent, out of
 * order, changed.
 */
export function differencesOf(acknowledged, stored) {
  const [sent, kept] = [acknowledged, stored].map(list => new Map(list.map(event => [event.id, event])))
  const lost = acknowledged.filter(e => !kept.has(e.id))
  const strange = stored.filter(e => !sent.has(e.id))
  const changed = acknowledged.filter(e => kept.has(e.id) && !isDeepStrictEqual(kept.get(e.id), e))
  const idsOf = list => list.map(e => e.id)
  const inOrder = isDeepStrictEqual(
    idsOf(stored).filter(id => sent.has(id)),
    idsOf(acknowledged).filter(id => kept.has(id)),
  )
  return [
    lost.length > 0 ? `${lost.length} acknowledged entries are lost` : null,
    kept.size < stored.length ? `${stored.length - kept.size} entries are there twice` : null,
    strange.length > 0 ? `${strange.length} entries were never sent` : null,
    changed.length > 0 ? `${changed.length} entries are not as they were sent` : null,
    inOrder || kept.size < stored.length ? null : 'entries are out of order',
  ].filter(words => words !== null)
}
