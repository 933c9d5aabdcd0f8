import { describe, expect, it } from 'vitest'
import { errorBound } from '../quantity'
import {
  BARE_SETUP,
  asSetUp,
  calibrationAge,
  compareMeters,
  instrumentProfile,
  isClassKnown,
  toTrueMean,
  twoLevels,
  type MeterReading,
} from './index'

const meter = (
  name: string,
  shownW: number,
  u: number | null,
  path: string[] = [],
  kind: MeterReading['kind'] = 'true-mean',
): MeterReading => ({ name, kind, shownW, standardUncertaintyW: u, path })

describe('what is in front of a meter', () => {
  const profile = instrumentProfile('eye-power-20')
  it('20 dB of sampler make 0.04 W on the meter 4 W at the set, its scale and bound with it', () => {
    const [power] = asSetUp(profile, { ...BARE_SETUP, attenuationDb: 20 }).quantities
    expect(0.04 * power!.toSi).toBeCloseTo(4, 12)
    expect(power!.accuracy.fullScale).toBeCloseTo(2000, 9)
    expect(errorBound(4, power!.accuracy)).toBeCloseTo(100, 9)
  })
  it('a range of its own replaces that of the profile; quantities that are no powers stay', () => {
    expect(asSetUp(profile, { ...BARE_SETUP, fullScale: 5 }).quantities[0]!.accuracy).toEqual({
      ofFullScale: 0.05,
      fullScale: 5,
    })
    const counter = instrumentProfile('eye-counter')
    expect(asSetUp(counter, { ...BARE_SETUP, attenuationDb: 20, fullScale: 5 })).toEqual(counter)
    expect(asSetUp(profile, BARE_SETUP)).toEqual(profile)
  })
  it(
    'a class that is said of a meter read by eye replaces that of its ' +
      'profile; unknown leaves none; what talks keeps its own',
    () => {
      const asked = (change: object, of = profile) =>
        asSetUp(of, { ...BARE_SETUP, ...change }).quantities[0]!.accuracy
      expect(asked({ classRatio: 0.1, fullScale: 60 })).toEqual({ ofFullScale: 0.1, fullScale: 60 })
      expect(isClassKnown(asked({ classUnknown: true }))).toBe(false)
      expect(asked({ classUnknown: true, classRatio: 0.1 }, instrumentProfile('scpi-power-meter'))).toEqual(
        instrumentProfile('scpi-power-meter').quantities[0]!.accuracy,
      )
    },
  )
  it('the meter of 200 W reads power and crests on one scale', () => {
    expect(instrumentProfile('eye-power-200').quantities.map(q => q.accuracy.fullScale)).toEqual([200, 200])
  })
  it('knows how old a calibration is', () => {
    expect(calibrationAge('2026-11-20', '2026-11-25')).toEqual({ days: 5, overdue: false })
    expect(calibrationAge('2025-06-01', '2026-11-25')).toEqual({ days: 542, overdue: true })
    expect(calibrationAge(null, '2026-11-25')).toBeNull()
  })
})

/**
 * Table "what meters show on a 4 W carrier" (C06): true mean 6.0 W, average 4.0 W, peak hold 16.0 W at 100 %;
 * two tones of 16 W PEP 8.0, 6.5, 16.0 W.
 */
describe('kinds of meters', () => {
  const full = { kind: 'am-tone', depthRatio: 1 } as const
  it.each([
    ['true-mean', full, 6, 6],
    ['average', full, 4, 6],
    ['peak-hold', full, 16, 6],
    ['true-mean', { kind: 'two-tone' }, 8, 8],
    ['average', { kind: 'two-tone' }, 6.485, 8],
    ['peak-hold', { kind: 'two-tone' }, 16, 8],
  ] as const)('%s: %j, %d W shown is %d W mean', (kind, signal, shown, mean) => {
    expect(shown * toTrueMean(kind, signal)!).toBeCloseTo(mean, 2)
  })
  it(
    'all read alike on a bare carrier; leaky peak and panel say ' +
      'nothing on modulation, nobody compares on speech',
    () => {
      for (const kind of ['true-mean', 'average', 'leaky-peak', 'peak-hold'] as const)
        expect(toTrueMean(kind, { kind: 'carrier' })).toBe(1)
      expect(toTrueMean('leaky-peak', full)).toBeNull()
      expect(toTrueMean('panel', { kind: 'carrier' })).toBeNull()
      expect([
        toTrueMean('unknown', { kind: 'carrier' }),
        toTrueMean('unknown', full),
        toTrueMean('unknown', { kind: 'two-tone' }),
      ]).toEqual([1, null, null])
      expect(toTrueMean('average', { kind: 'speech' })).toBeNull()
      expect(toTrueMean('average', { kind: 'am-tone', depthRatio: 1.3 })).toBeNull()
    },
  )
})

describe('several meters on one signal', () => {
  it('one that shows nothing is off by no number of dB; two of one name are two', () => {
    const c = compareMeters([meter('a', 0, 0.05), meter('b', 4.1, 0.2)], { kind: 'carrier' })
    expect([c.spreadDb, c.agree]).toEqual([null, false])
    const twins = compareMeters([meter('a', 4, 0.1), meter('a', 5, 0.1)], { kind: 'carrier' })
    expect(twins.meters.map(m => Math.sign(m.offSigma!))).toEqual([-1, 1])
    expect(twoLevels({ suspectW: 100, referenceW: 100 }, { suspectW: 0, referenceW: 10 })).toBe('diode')
  })
  it('C31: 3.82 +/- 0.05 and 4.10 +/- 0.20 W make 3.836 +/- 0.049 W, 1.36 sigma apart', () => {
    const c = compareMeters([meter('a', 3.82, 0.05), meter('b', 4.1, 0.2)], { kind: 'carrier' })
    expect(c.meanW!).toBeCloseTo(3.836, 3)
    expect(c.standardUncertaintyW!).toBeCloseTo(0.049, 3)
    expect(Math.abs(c.meters[0]!.offSigma!)).toBeCloseTo(1.36, 2)
    expect([c.opinions, c.agree]).toEqual([2, true])
  })
  it('P18: two-tone 12.9, 14.2, 18.8 W are 1.6 dB apart and disagree when their bounds are small', () => {
    const three = (u: number) =>
      compareMeters([meter('a', 12.9, u), meter('b', 14.2, u), meter('c', 18.8, u)], { kind: 'two-tone' })
    expect(three(0.3).spreadDb!).toBeCloseTo(1.64, 2)
    expect([three(0.3).agree, three(3).agree]).toEqual([false, true])
  })
  it('P19, F64: meters that share a coupler are one opinion, also through a third', () => {
    const alone = compareMeters([meter('a', 4, 0.1), meter('b', 4.4, 0.1)], { kind: 'carrier' })
    const shared = compareMeters(
      [
        meter('a', 4, 0.1),
        meter('b', 4.4, 0.1, ['coupler']),
        meter('c', 4.42, 0.1, ['coupler', 'cable']),
        meter('d', 4.41, 0.2, ['cable']),
      ],
      { kind: 'carrier' },
    )
    expect(alone.meanW!).toBeCloseTo(4.2, 12)
    expect([shared.opinions, shared.meanW!.toFixed(3)]).toEqual([2, '4.200'])
    expect(shared.meters[1]!.sharesWith).toEqual(['c'])
  })
  it('C34: the factor of the owner\u2019s meter, 3.1 W against 4.4 W, is 1.42', () => {
    const { meters } = compareMeters([meter('bench', 4.4, 0.001), meter('owner', 3.1, 1)], {
      kind: 'carrier',
    })
    expect(meters[1]!.factor!).toBeCloseTo(1.42, 2)
  })
  it('weighs nothing that it does not know: no uncertainty, no comparable signal', () => {
    expect(compareMeters([meter('a', 4, null)], { kind: 'carrier' }).meanW).toBeNull()
    expect(compareMeters([meter('a', 4, 0.1, [], 'average')], { kind: 'speech' })).toMatchObject({
      meanW: null,
      opinions: 0,
      agree: null,
    })
  })
  it('does not depend on the order', () => {
    const all = [meter('a', 4, 0.1, ['x']), meter('b', 4.2, 0.05, ['x']), meter('c', 3.9, 0.2)]
    expect(compareMeters([...all].reverse(), { kind: 'carrier' }).meanW).toBeCloseTo(
      compareMeters(all, { kind: 'carrier' }).meanW!,
      12,
    )
  })
  // C32: diode threshold 0.2 V, 1.0 V at 100 W, calibrated there: 14.1 W at 25 W, 2.1 W at 10 W.
  it('F23, C32: the same factor at two levels is calibration, a shortfall that grows at low level the diode', () => {
    expect(twoLevels({ suspectW: 100, referenceW: 100 }, { suspectW: 14.1, referenceW: 25 })).toBe('diode')
    expect(twoLevels({ suspectW: 70, referenceW: 100 }, { suspectW: 7, referenceW: 10 })).toBe('calibration')
    expect(twoLevels({ suspectW: 100, referenceW: 100 }, { suspectW: 10.1, referenceW: 10 })).toBe('agree')
    expect(twoLevels({ suspectW: 70, referenceW: 100 }, { suspectW: 10, referenceW: 10 })).toBe('other')
  })
})
