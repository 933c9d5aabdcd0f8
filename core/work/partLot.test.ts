import { describe, expect, it } from 'vitest'
import type { PartTested } from '../run'
import { lotHistory } from './partLot'

const tested = (change: Partial<PartTested>): PartTested => ({
  kind: 'part-tested',
  id: 'p',
  atMs: 1,
  part: '2SC1969',
  boughtAt: 'Market stall',
  dcGain: null,
  rfPowerW: null,
  rfReferenceW: null,
  fallsWhileKeyed: null,
  heat: null,
  text: '',
  ...change,
})
const fake = { rfPowerW: 0.2, rfReferenceW: 4 }

describe('what the others of a lot showed', () => {
  const earlier = [
    tested({ ...fake, lot: '88A' }),
    tested({ ...fake, lot: '88a' }),
    tested({ dcGain: 80, lot: '91C' }),
    tested({ ...fake, part: '2SC2078' }),
    tested({ ...fake, boughtAt: 'Elsewhere' }),
  ]
  it.each([
    [{ lot: '88A' }, { tested: 2, rejected: 2, doubtful: 0 }],
    [{ lot: '91c' }, { tested: 1, rejected: 0, doubtful: 0 }],
    // Without a lot everything of that seller speaks.
    [{}, { tested: 3, rejected: 2, doubtful: 0 }],
    [
      { part: '2sc1969 ', boughtAt: ' market  stall' },
      { tested: 3, rejected: 2, doubtful: 0 },
    ],
    [{ part: '2SC1969, drawer 3' }, { tested: 3, rejected: 2, doubtful: 0 }],
    [{ boughtAt: '' }, null],
    [{ part: 'IRF520' }, null],
  ])('%j', (of, history) => {
    expect(lotHistory(earlier, { part: '2SC1969', boughtAt: 'Market stall', ...of })).toEqual(history)
  })
})
