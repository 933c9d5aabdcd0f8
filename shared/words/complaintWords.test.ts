import { describe, expect, it } from 'vitest'
import type { JobEvent } from '#core/run'
import { complaintLines } from './complaintWords'

const tried = (result: string, text: string) =>
  ({ id: result, atMs: 0, kind: 'complaint-tried', result, text }) as JobEvent

describe('a complaint without a figure', () => {
  it('is told each time that it was tried, with the conditions where they were noted', () => {
    expect(
      complaintLines([
        tried('not-reproduced', 'AM, two hours on the bench.'),
        { id: 'n', atMs: 0, kind: 'note', stepId: null, text: 'x' },
        tried('intermittent', 'below 5 °C'),
        tried('reproduced', ''),
      ]),
    ).toEqual(['Not reproduced: AM, two hours on the bench.', 'Intermittent: below 5 °C.', 'Reproduced.'])
    expect(complaintLines([])).toEqual([])
  })
})
