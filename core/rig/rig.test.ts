import { describe, expect, it } from 'vitest'
import { spreadDb } from '../quantity'
import { channelHz } from '../rules'
import { changeOsmund27f, measureOsmund27f, osmund27fAsFound, type RigChange, type RigState } from './index'

const WARM_S = 3600
const found = () => osmund27fAsFound(27, 0)
/** Measures after the loop has settled. */
const measure = (state: RigState, change: RigChange) => measureOsmund27f(changeOsmund27f(state, change, WARM_S), WARM_S + 1)
const powers = (state: RigState) => [1, 20, 40].map(channel => measure(state, { channel, keyed: true }).powerW)
const errorHz = (state: RigState, channel: number) => measure(state, { channel, keyed: true }).carrierHz! - channelHz('uk27', channel)
const peaked = () => changeOsmund27f(found(), { adjusters: { L1: 0, L2: 0, L3: 0, L4: 0, L5: 0, L6: 0 } }, 0)

describe('as found', () => {
  it('fails in several places', () => {
    expect(measure(found(), {}).referenceHz - 10.24e6).toBeLessThan(-400)
    expect(errorHz(found(), 20)).toBeLessThan(-50)
    expect(powers(found())[1]).toBeLessThan(3.6)
    expect(spreadDb(powers(found()))).toBeGreaterThan(0.5)
    expect(measure(found(), { keyed: true, lowPower: true }).powerW).toBeGreaterThan(0.4)
    expect(measure(found(), { keyed: true, toneOn: true }).deviationPositiveHz).toBeGreaterThan(2500)
  })
  it('draws what a healthy set of its kind draws', () => {
    // General trade knowledge: 0.2 to 0.45 A receiving, 0.9 to 1.4 A keyed at 4 W.
    expect(measure(found(), {}).supplyA).toBeCloseTo(0.32, 2)
    const { supplyA } = measure(peaked(), { keyed: true })
    expect(supplyA).toBeGreaterThan(0.9)
    expect(supplyA).toBeLessThan(1.4)
  })
})

describe('adjusters act', () => {
  it('the reference moves transmit on all channels nearly alike, its error hides behind the transmit trimmer', () => {
    const set = changeOsmund27f(found(), { adjusters: { CT2: 0.38 } }, 0)
    expect(errorHz(set, 40) - errorHz(set, 1)).toBeCloseTo(-390_000 * 40e-6, -0.5)
    const right = changeOsmund27f(set, { adjusters: { CT1: 0.3861 } }, 0)
    expect(Math.abs(errorHz(right, 40) - errorHz(right, 1))).toBeLessThan(2)
    expect(errorHz(right, 20) - errorHz(set, 20)).toBeCloseTo(68, -0.5)
  })
  it('a mis-set coil drops one end of the band', () => {
    const [low, , high] = powers(changeOsmund27f(peaked(), { adjusters: { L6: -1.7 } }, 0))
    expect(low!).toBeLessThan(high! * 0.85)
    const [low2, , high2] = powers(changeOsmund27f(peaked(), { adjusters: { L6: 1.7 } }, 0))
    expect(high2!).toBeLessThan(low2! * 0.85)
  })
  it('each drive coil has its peak in the middle', () => {
    for (const coil of ['L1', 'L2', 'L3', 'L4', 'L5', 'L6']) {
      const at = (turns: number) => measure(changeOsmund27f(peaked(), { adjusters: { [coil]: turns } }, 0), { channel: 20, keyed: true }).powerW
      expect(at(0), coil).toBeGreaterThan(at(-1.8))
      expect(at(0), coil).toBeGreaterThan(at(1.8))
    }
  })
  it('peaks above its rating, so that the loading coil has to set the power', () => {
    expect(powers(peaked())[1]).toBeGreaterThan(4)
    const set = changeOsmund27f(peaked(), { adjusters: { L6: -0.2, L7: 0.9 } }, 0)
    expect(powers(set).every(w => w > 3.6 && w < 3.9)).toBe(true)
    expect(spreadDb(powers(set))).toBeLessThan(0.5)
  })
  it('the final saturates: a weak drive stage costs little power until its headroom is gone', () => {
    const at = (turns: number) => measure(changeOsmund27f(peaked(), { adjusters: { L4: turns } }, 0), { channel: 20, keyed: true }).powerW
    expect(at(0) - at(0.3)).toBeLessThan(0.05)
    expect(at(1.7) - at(2)).toBeGreaterThan(2 * (at(0) - at(0.3)))
  })
  it('presets set low power, deviation and panel meter', () => {
    const low = (p: number) => measure(changeOsmund27f(peaked(), { adjusters: { RV1: p } }, 0), { keyed: true, lowPower: true }).powerW
    const deviation = (p: number) => measure(changeOsmund27f(peaked(), { adjusters: { RV2: p } }, 0), { keyed: true, toneOn: true }).deviationPositiveHz!
    const panel = (p: number) => measure(changeOsmund27f(peaked(), { adjusters: { RV3: p } }, 0), { keyed: true })
    expect(low(0.8)).toBeGreaterThan(low(0.2) * 2)
    expect(deviation(0.6) / deviation(0.3)).toBeCloseTo(2, 1)
    expect(panel(0.5).panelPowerW).toBeCloseTo(panel(0.5).powerW, 6)
  })
  it('the limiter holds: more tone brings no more deviation', () => {
    const at = (toneLevelV: number) => measure(found(), { keyed: true, toneOn: true, toneLevelV }).deviationPositiveHz!
    expect(at(0.04) / at(0.08)).toBeGreaterThan(0.99)
    expect(at(0.003)).toBeLessThan(at(0.04) * 0.4)
  })
  it('power follows the square of the supply', () => {
    const at = (supplyV: number) => measure(peaked(), { keyed: true, supplyV }).powerW
    expect(at(12) / at(13.8)).toBeCloseTo((12 / 13.8) ** 2, 2) // 0.1 % of noise on each
  })
})

describe('time', () => {
  it('the crystals warm up and settle', () => {
    const on = changeOsmund27f(found(), { keyed: true, channel: 20 }, 0)
    const at = (s: number) => measureOsmund27f(on, s).carrierHz!
    expect(at(1200) - at(30)).toBeGreaterThan(15)
    expect(Math.abs(at(3600) - at(3000))).toBeLessThan(1)
  })
  it('passing warm-up time at once is the same as waiting', () => {
    const skipped = changeOsmund27f(found(), { warmByS: 1200, keyed: true }, 5)
    expect(measureOsmund27f(skipped, 10).onTimeS).toBe(1210)
  })
  it('an unlocked set does not transmit; a wrap takes longer than a step', () => {
    const wrapped = changeOsmund27f(changeOsmund27f(found(), { channel: 40 }, 0), { channel: 1, keyed: true }, 100)
    expect(measureOsmund27f(wrapped, 100.1)).toMatchObject({ locked: false, powerW: 0, carrierHz: null })
    expect(measureOsmund27f(wrapped, 101).powerW).toBeGreaterThan(1)
    expect(wrapped.lockS).toBeGreaterThan(changeOsmund27f(found(), { channel: 21 }, 0).lockS)
  })
  it('repeats exactly for a seed, and differs for another', () => {
    const run = (seed: number) => Array.from({ length: 20 }, (_, i) => measureOsmund27f(changeOsmund27f(osmund27fAsFound(seed, 0), { keyed: true }, 1), 2 + i * 0.1).powerW)
    expect(run(5)).toEqual(run(5))
    expect(run(5)).not.toEqual(run(6))
  })
})

describe('nonsense', () => {
  it.each<[RigChange, string]>([[{ channel: 41 }, 'unknown-channel'], [{ adjusters: { CT9: 0.5 } }, 'unknown-adjuster'], [{ adjusters: { CT1: Number.NaN } }, 'out-of-range'], [{ supplyV: -1 }, 'out-of-range']])('%j is refused', (change, code) => {
    expect(() => changeOsmund27f(found(), change, 0)).toThrow(expect.objectContaining({ code }))
  })
})
