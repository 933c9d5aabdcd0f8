import { describe, expect, it } from 'vitest'
import type { JobEvent } from '#core/run'
import { chained, eventDigest } from './eventChain'

const note = (change: object = {}) =>
  ({ id: 'a', kind: 'note', atMs: 1, stepId: null, text: 'x', ...change }) as JobEvent

describe('The chain of entries', () => {
  it('does not depend on the order of fields, nor on what is not there', () => {
    const { id, kind, ...rest } = note() as JobEvent & { text: string }
    expect(eventDigest({ ...rest, kind, id, more: undefined } as unknown as JobEvent)).toEqual(
      eventDigest(note()),
    )
  })
  it.each([{ text: 'y' }, { atMs: 2 }, { id: 'b' }, { stepId: 'A' }, { readings: [{ value: 1 }] }])(
    'shows a change: %j',
    change => expect(eventDigest(note(change))).not.toEqual(eventDigest(note())),
  )
  it('shows an entry that was taken out, or put elsewhere', () => {
    const [a, b] = [eventDigest(note()), eventDigest(note({ text: 'y' }))]
    expect(chained(chained(null, a), b)).not.toEqual(chained(null, b))
    expect(chained(chained(null, a), b)).not.toEqual(chained(chained(null, b), a))
  })
})
