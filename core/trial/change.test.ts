import { describe, expect, it } from 'vitest'
import { shown, trialNoted, type Seen } from '../../test/fixtures/trials'
import { changes } from './change'

const bare = trialNoted('carrier', { powerW: 3.6, pepW: 3.6 })
const pep = (value: number, fullScale = 20): Seen => ({ value, meter: 'peak meter', fullScale })

describe('the same carrier with more audio', () => {
  const full = trialNoted('tone', {
    depthPositiveRatio: 1,
    pepW: pep(14.9),
    envelopePeakRatio: 2,
    adjacentDbc: { value: -50, end: 'at-most' },
  })
  it('is told by meter, depth, line and neighbours side by side', () => {
    const more = trialNoted('tone', {
      depthPositiveRatio: 1.2,
      pepW: pep(15.9),
      envelopePeakRatio: 2.09,
      carrierLineDb: 0,
      adjacentDbc: -29,
    })
    const [change] = changes(shown(bare, full, more).last)
    expect(change).toMatchObject({ lineDb: 0, isOvershoot: false })
    expect(change!.pepDb).toBeCloseTo(0.282, 3)
    expect(change!.depthDb).toBeCloseTo(0.828, 3)
    expect(change!.peakDb).toBeCloseTo(0.382, 3)
    expect(change!.lineStayedWithinDb).toBeCloseTo(0.5, 9)
    expect(change!.neighbours).toMatchObject({ haveRisen: true, before: { bound: 'at-most' } })
  })
  it('finds overshoot where the positive peak stays and the meter rises beyond both', () => {
    const [a, b] = [98, 118].map((w, i) =>
      trialNoted('tone', {
        depthPositiveRatio: 1 + 0.35 * i,
        pepW: pep(w, 200),
        envelopePeakRatio: { value: 2.02, bound: 0.02 },
      }),
    )
    const [change] = changes(shown(bare, a!, b!).last)
    expect(change).toMatchObject({ peakDb: 0, isOvershoot: true })
    expect(change!.pepDb).toBeCloseTo(0.807, 3)
  })
  it('is not told of two scales, of another carrier, of the first trial, without a carrier', () => {
    const other = trialNoted('tone', { depthPositiveRatio: 1.2, pepW: pep(15.9, 200) })
    expect(changes(shown(bare, full, other).last)).toEqual([])
    const again = trialNoted('tone', { depthPositiveRatio: 1.2, pepW: pep(15.9) })
    expect(changes(shown(bare, full, bare, again).last)).toEqual([])
    expect(changes(shown(bare, full).last)).toEqual([])
    expect(changes(shown(full, again).last)).toEqual([])
  })
  it('says no more of a line that was not read than that it was not', () => {
    const again = trialNoted('tone', { depthPositiveRatio: 1.2, pepW: pep(15.9) })
    expect(changes(shown(bare, full, again).last)).toMatchObject([
      { lineDb: null, lineStayedWithinDb: null, peakDb: null, neighbours: null, isOvershoot: false },
    ])
  })
  it('takes neighbours for risen beyond both readings only, and none from a bound that leaves it open', () => {
    const at = (dbc: number, end?: 'at-most' | 'at-least') =>
      trialNoted('tone', { pepW: pep(15), adjacentDbc: { value: dbc, ...(end ? { end } : {}) } })
    const risen = (a: ReturnType<typeof at>, b: ReturnType<typeof at>) =>
      changes(shown(bare, a, b).last)[0]!.neighbours!.haveRisen
    expect([risen(at(-40), at(-38.5)), risen(at(-40), at(-39))]).toEqual([true, false])
    expect([risen(at(-40), at(-30, 'at-most')), risen(at(-40, 'at-least'), at(-30))]).toEqual([false, false])
    expect([risen(at(-40, 'at-most'), at(-30)), risen(at(-40), at(-30, 'at-least'))]).toEqual([true, true])
  })
  it('does not say that a line stayed where its accuracy is not known, or where it moved', () => {
    const stayed = (carrierLineDb: number, bound: number | null) =>
      changes(
        shown(
          bare,
          full,
          trialNoted('tone', { pepW: pep(15.9), carrierLineDb: { value: carrierLineDb, bound } }),
        ).last,
      )[0]!.lineStayedWithinDb
    expect([stayed(0, null), stayed(-0.8, 0.5)]).toEqual([null, null])
    expect(stayed(0.3, 0.5)).toBeCloseTo(0.5, 9)
  })
})
