import { describe, expect, it } from 'vitest'
import { SIZE, amSignal, fmSignal, lineSignal, recordingOf, withNoise } from '../../test/fixtures/signals'
import { DEFAULT_OPTIONS, measureRecording, type MeasureOptions } from '.'
import { largestPart } from './limits'

const limits = async (made: ReturnType<typeof amSignal>, options: Partial<MeasureOptions> = {}) =>
  (await measureRecording(recordingOf(made), { ...DEFAULT_OPTIONS, ...options })).measurement.limitedBy

describe('what limits a figure', () => {
  it('is the largest part of its uncertainty', () => {
    expect(largestPart({ noise: 1, recorder: 2 })).toBe('recorder')
    expect(largestPart({ noise: 0 })).toBeNull()
  })
  it(
    'of a depth: noise where there is much of it, the analysis ' +
      'where there is none, the gain where a level was given',
    async () => {
      expect((await limits(withNoise(amSignal({ depth: 0.6 }), 20), { as: 'am' }))!.am!.depthPositive).toBe(
        'noise',
      )
      expect((await limits(amSignal({ depth: 0.6 }), { as: 'am' }))!.am!.depthPositive).toBe('recorder')
      expect(
        (await limits(withNoise(amSignal({ depth: 0.6 }), 40), {
          as: 'am',
          unmodulatedDbfs: 20 * Math.log10(SIZE),
        }))!.am!.depthPositive,
      ).toBe('gain')
    },
  )
  it('of a frequency: the reference of the receiver once it is named', async () => {
    expect((await limits(withNoise(amSignal({ depth: 0.6 }), 30), { as: 'am' }))!.carrier!.frequencyHz).toBe(
      'noise',
    )
    expect(
      (await limits(withNoise(amSignal({ depth: 0.6 }), 30), { as: 'am', referencePpm: 1 }))!.carrier!
        .frequencyHz,
    ).toBe('reference')
  })
  it('of a deviation: noise; of a carrier on sideband that is not seen: that it is assumed', async () => {
    expect((await limits(withNoise(fmSignal(2000, 1000), 25), { as: 'fm' }))!.fm!.deviationPositiveHz).toBe(
      'noise',
    )
    expect(
      (await limits(
        lineSignal([
          [3700, 0.2],
          [4900, 0.2],
        ]),
        { as: 'ssb', nominalHz: 27_183_000 },
      ))!.ssb!.carrierDbBelowPep,
    ).toBe('assumption')
  })
})
