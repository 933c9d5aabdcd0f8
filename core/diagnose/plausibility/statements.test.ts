import { describe, expect, it } from 'vitest'
import { CoreError } from '../../errors'
import { checkStatement } from './index'

/** Examples of the trade table, each with its counterpart that can be. */
describe('statements of somebody else', () => {
  it.each([
    ['P07 "28 W carrier, 35 W in either sideband"', 'sideband', [28, 35], 'impossible', 7],
    ['P07 at 100 %', 'sideband', [28, 7], 'possible', 7],
    ['P08 reflected above forward', 'swr', [4, 5], 'impossible', Infinity],
    ['P08 a tenth comes back (C35: 1.925)', 'swr', [10, 1], 'possible', 1.925],
    ['P15 81.6 MHz called second', 'harmonic', [27.205, 81.615, 2], 'impossible', 3],
    ['P15 54.4 MHz', 'harmonic', [27.205, 54.41, 2], 'possible', 2],
    ['P07 over-modulated it may be more', 'sideband', [28, 8], 'doubtful', 7],
    ['P08 nothing goes out', 'swr', [0, 1], 'impossible', Number.NaN],
    ['P08 a needle below zero', 'swr', [-4, 1], 'impossible', Number.NaN],
    ['P39 nothing on one lead', 'lead', [0, 4], 'doubtful', Number.NaN],
    ['P17 five channels in 5 kHz', 'span', [5, 5], 'impossible', 50],
    ['P17 from the first to the last of five', 'span', [5, 40], 'doubtful', 50],
    ['P17 five in 50', 'span', [5, 50], 'possible', 50],
    ['P20 off by 60, moved by 60', 'off-or-moved', [60, 60], 'doubtful', 0],
    ['P20 off by 60, moved by 25', 'off-or-moved', [60, 25], 'possible', 35],
    ['P34 "2.5 kHz" at a 453 Hz null', 'bessel', [453, 2.5], 'doubtful', 1.0894],
    ['P34 2.5 kHz at 1039.6 Hz (C14)', 'bessel', [1039.58, 2.5], 'possible', 2.5],
    ['P34 no null there', 'bessel', [800, 2.5], 'impossible', 1.924],
    ['P36 -140, -90, -120', 'drift', [-140, -90, -120], 'doubtful', Number.NaN],
    ['P36 -140, -90, -65 settles at -40', 'drift', [-140, -90, -65], 'possible', -40],
    ['P38 two devices, 350 W PEP', 'per-device', [350, 2, 70], 'impossible', 140],
    ['P38 within the rating', 'per-device', [120, 2, 70], 'possible', 140],
    ['P39 4.0 then 4.6 W', 'lead', [4, 4.6], 'doubtful', 0.607],
    ['P39 4.0 then 4.1 W', 'lead', [4, 4.1], 'possible', 0.107],
  ] as const)('%s', (_words, id, values, verdict, against) => {
    const checked = checkStatement(id, values)
    expect(checked.verdict).toBe(verdict)
    if (Number.isFinite(against)) expect(checked.againstValue).toBeCloseTo(against, 2)
    else expect(checked.againstValue).toBe(against)
  })
  it('names the number that is missing', () => {
    expect(() => checkStatement('lead', [4])).toThrow(CoreError)
    expect(() => checkStatement('lead', [4, Number.NaN])).toThrow(/On the other/)
    expect(() => checkStatement('gossip', [])).toThrow(expect.objectContaining({ code: 'unknown-item' }))
  })
})
