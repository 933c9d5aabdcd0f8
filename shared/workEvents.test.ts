import { describe, expect, it } from 'vitest'
import { randomUUID } from 'node:crypto'
import type { AntennaMatch } from '#core/run'
import { jobEventBody } from './jobEvents'

const settings = (match: Partial<AntennaMatch> | undefined, change: object = {}) =>
  jobEventBody
    .validate(
      {
        id: randomUUID(),
        atMs: 0,
        kind: 'settings-noted',
        channel: 2,
        mode: null,
        connectedTo: 'antenna',
        positions: [],
        ...(match ? { match: { forwardW: 94, reflectedW: 0.8, swr: null, meterAt: null, ...match } } : {}),
        text: '',
        ...change,
      },
      { strict: true },
    )
    .then(
      () => 'kept',
      (error: Error) => error.message,
    )

describe('what the line to the antenna showed', () => {
  it('is kept without any position, and nothing at all is not', async () => {
    expect(await settings({})).toBe('kept')
    expect(await settings({ reflectedW: null })).toBe('kept')
    expect(await settings({ forwardW: null, reflectedW: null, swr: 1.1 })).toBe('kept')
    expect(await settings(undefined)).not.toBe('kept')
  })
  it('is refused where it cannot be: more back than forth, an SWR below 1', async () => {
    expect(await settings({ reflectedW: 95 })).toMatch(/reflected exceeds forward/)
    expect(await settings({ forwardW: 5, reflectedW: 5 })).toBe('kept')
    expect(await settings({ swr: 0 })).toMatch(/SWR/)
  })
  it('is of the antenna, not of the dummy load', async () => {
    expect(await settings({}, { connectedTo: 'load' })).toMatch(/antenna/)
    expect(await settings({}, { connectedTo: null })).toMatch(/antenna/)
  })
})
