import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { JobEvent } from '#core/run'
import { chained, eventDigest } from '../db/eventChain'
import { brokenChain, unreadable } from './checkEntries'

const note = (text: string, more: object = {}) =>
  ({ kind: 'note', id: randomUUID(), atMs: 1_795_000_000_000, stepId: null, text, ...more }) as JobEvent
const author = { personId: randomUUID(), name: 'Teodor Quist' }

describe('An entry', () => {
  it('reads as it was entered, with its author, and also while it waits for its release', async () => {
    expect(await unreadable(note('preset cleaned'))).toBeNull()
    expect(await unreadable(note('preset cleaned', { author }))).toBeNull()
    expect(await unreadable(note('preset cleaned', { author, unreleased: true }))).toBeNull()
  })

  it('does not read with anything else in it, and the field is named', async () => {
    expect(await unreadable(note('preset cleaned', { colour: 'red' }))).toContain('colour')
    expect(await unreadable(note('preset cleaned', { unreleased: 'later' }))).toContain('unreleased')
    expect(await unreadable(note('preset cleaned', { author: { name: 'x' } }))).not.toBeNull()
  })
})

describe('A chain', () => {
  const events = [note('first'), note('second'), note('third')]
  const links = () => {
    let before: Buffer | null = null
    return events.map(event => {
      before = chained(before, eventDigest(event))
      return { id: event.id, chain: before as Buffer | null }
    })
  }

  it('holds over what was stored, and may begin later', () => {
    expect(brokenChain(links(), events)).toEqual({ broken: [], unchained: 0 })
    const first = chained(null, eventDigest(events[1]!))
    const later = [
      { id: events[0]!.id, chain: null },
      { id: events[1]!.id, chain: first },
      { id: events[2]!.id, chain: chained(first, eventDigest(events[2]!)) },
    ]
    expect(brokenChain(later, events)).toEqual({ broken: [], unchained: 1 })
  })

  it('is broken by another word, by a missing entry, and by one that lost its link', () => {
    const other = [events[0]!, { ...events[1]!, text: 'never said' } as JobEvent, events[2]!]
    expect(brokenChain(links(), other).broken).toEqual([expect.stringContaining(events[1]!.id)])
    expect(brokenChain([links()[0]!, links()[2]!], events).broken).toHaveLength(1)
    expect(
      brokenChain([links()[0]!, { id: events[1]!.id, chain: null }, links()[2]!], events).broken,
    ).toHaveLength(2)
  })
})
