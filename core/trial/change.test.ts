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
    expect(change).toMatchObject({ lineDb: 0, lineStayed: true, isOvershoot: false })
    expect(change!.pepDb).toBeCloseTo(0.282, 3)
    expect(change!.depthDb).toBeCloseTo(0.828, 3)
    expect(change!.peakDb).toBeCloseTo(0.382, 3)
    expect(change!.neighbours!.before.bound).toBe('at-most')
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
      { lineDb: null, lineStayed: false, peakDb: null, neighbours: null, isOvershoot: false },
    ])
  })
})
