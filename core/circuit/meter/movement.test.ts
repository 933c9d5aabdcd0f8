import { describe, expect, it } from 'vitest'
import { meterMovement } from './movement'

const METER = { fullScaleW: 100, thresholdRatio: 0.2, gain: 1 }
const shows = (powerW: number, { gain = 1, preset = 1 } = {}) =>
  meterMovement.respond({ ...METER, gain }, { powerW, preset }, null)

describe('a needle behind a diode', () => {
  it('is right at full scale and low below it: 25 of 100 W read 14.1 (C32)', () => {
    expect(shows(100)).toBeCloseTo(100, 9)
    expect(shows(25)).toBeCloseTo(14.06, 2)
  })
  it('rests below the threshold of the diode', () => {
    expect([shows(0), shows(4), shows(-1)]).toEqual([0, 0, 0])
  })
  it('shows more with more gain, of the meter as of its preset', () => {
    expect(shows(100, { gain: 1.2 })).toBeCloseTo(120, 9)
    expect(shows(100, { gain: 1.2, preset: 0.5 })).toBeCloseTo(60, 9)
  })
})
