import { describe, expect, it } from 'vitest'
import { shown, trialNoted } from '../../test/fixtures/trials'
import { efficiency, metersOnCarrier, notTrueAverage } from './average'

const carrier = (powerW: number, bound?: number) =>
  trialNoted('carrier', { powerW: { value: powerW, ...(bound === undefined ? {} : { bound }) } })
const tone = (powerW: number, depth = 1, bound?: number) =>
  trialNoted('tone', {
    depthPositiveRatio: depth,
    powerW: { value: powerW, ...(bound === undefined ? {} : { bound }) },
  })

describe('an average meter under a tone', () => {
  it('is none of true average above 1.5 times the carrier (C06)', () => {
    const [found] = notTrueAverage(shown(carrier(3.6), tone(7)).last)
    expect(found).toMatchObject({ trueRatio: 1.5, isProven: true })
    expect(found!.ratio).toBeCloseTo(1.944, 3)
  })
  it('is none either where the tone does not move it: a linear diode', () => {
    const still = trialNoted('tone', { depthPositiveRatio: 1, powerW: 4, pepW: 16 })
    expect(notTrueAverage(shown(carrier(4), still).last)).toMatchObject([{ isProven: true }])
  })
  it('is not told by too little where the peak is flattened, or was not read: any meter reads less then', () => {
    const flat = trialNoted('tone', { depthPositiveRatio: 1, powerW: 5, pepW: 10 })
    expect(notTrueAverage(shown(carrier(4), flat).last)).toEqual([])
    expect(notTrueAverage(shown(carrier(4), tone(5)).last)).toEqual([])
  })
  it('may be one where its class leaves it open', () => {
    expect(notTrueAverage(shown(carrier(3.6, 1), tone(7, 1, 1)).last)).toMatchObject([{ isProven: false }])
    expect(notTrueAverage(shown(carrier(4), tone(6)).last)).toEqual([])
  })
  it('is not told past 100 %, on a voice, or without a carrier', () => {
    expect(notTrueAverage(shown(carrier(3.6), tone(7.6, 1.2)).last)).toEqual([])
    expect(notTrueAverage(shown(tone(7)).last)).toEqual([])
    const voice = trialNoted('voice', { depthPositiveRatio: 1, powerW: 7 })
    expect(notTrueAverage(shown(carrier(3.6), voice).last)).toEqual([])
  })
})

describe('two meters on a bare carrier', () => {
  const both = (powerW: number, pepW: number) =>
    metersOnCarrier(shown(trialNoted('carrier', { powerW, pepW })).last)
  it('agree or differ by what they may be off by', () => {
    expect(both(3.6, 3.65)).toMatchObject([{ agree: true }])
    expect(both(3.6, 4.2)).toMatchObject([{ agree: false }])
  })
  it('say nothing of one whose accuracy is not known', () => {
    const unknown = trialNoted('carrier', { powerW: { value: 3.6, bound: null }, pepW: 4.2 })
    expect(metersOnCarrier(shown(unknown).last)).toEqual([])
  })
})

describe('average RF out of the supply', () => {
  const supply = { supplyV: 13.8, supplyA: 7.2 }
  const bare = trialNoted('carrier', { powerW: 24, pepW: 24 })
  it('follows from carrier and depth, not from a needle under modulation', () => {
    const full = trialNoted('tone', { depthPositiveRatio: 1, pepW: 98, powerW: 62, ...supply })
    const [found] = efficiency(shown(bare, full).last)
    expect(found).toMatchObject({ meanW: 36, isComputed: true })
    expect(found!.ratio).toBeCloseTo(0.362, 3)
    // carrier 3 %, depth 0.02 x 1 / 1.5, volts 3 %, amperes 3 %
    expect(found!.boundRatio).toBeCloseTo(0.362 * Math.hypot(0.03, 0.02 / 1.5, 0.03, 0.03), 3)
  })
  it('is not told past 100 %, nor where the PEP does not fit', () => {
    const past = trialNoted('tone', { depthPositiveRatio: 1.35, pepW: 118, ...supply })
    const flat = trialNoted('tone', { depthPositiveRatio: 1, pepW: 60, ...supply })
    expect([past, flat].flatMap(noted => efficiency(shown(bare, noted).last))).toEqual([])
  })
  it('is read on a bare carrier, and a share that no set reaches is left out', () => {
    const idle = trialNoted('carrier', { powerW: 24, supplyV: 13.8, supplyA: 4 })
    expect(efficiency(shown(idle).last)).toMatchObject([{ meanW: 24, isComputed: false }])
    const impossible = trialNoted('carrier', { powerW: 24, supplyV: 13.8, supplyA: 2 })
    expect(efficiency(shown(impossible).last)).toEqual([])
  })
})
