import { describe, expect, it } from 'vitest'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { modelSheet } from '../../sheet'
import { driftLimit, fitDrift, isFrequencyStep, slowIn, warmGate, type DriftSample } from './index'

const curve = ({
  settles = -40,
  amplitude = 120,
  tauS = 400,
  everyS = 5,
  untilS = 900,
  noise = 0,
  seed = 1,
} = {}): DriftSample[] => {
  const random = randomFrom(seed).next
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  return Array.from({ length: Math.floor(untilS / everyS) + 1 }, (_, i) => ({
    atS: 100 + i * everyS,
    hz: settles + amplitude * Math.exp((-i * everyS) / tauS) + noise * gauss(),
  }))
}

describe('drift as it warms up', () => {
  it('without noise the curve is found to a thousandth', () => {
    const fit = fitDrift(curve())!
    expect(fit.settlesHz).toBeCloseTo(-40, 1)
    expect(fit.amplitudeHz).toBeCloseTo(120, 1)
    expect(fit.tauS).toBeCloseTo(400, 0)
    expect(fit.rateHzPerMin).toBeCloseTo((-120 / 400) * Math.exp(-900 / 400) * 60, 2)
  })
  it('where it settles is inside what is said of it, two times out of three and more', () => {
    let [inside, told] = [0, 0]
    for (let seed = 1; seed <= 200; seed++) {
      const fit = fitDrift(curve({ noise: 1, untilS: 700, seed }))!
      if (fit.settlesHz === null) continue
      told++
      if (Math.abs(fit.settlesHz + 40) <= fit.settlesUncertaintyHz!) inside++
    }
    expect(told).toBeGreaterThan(150)
    expect(inside / told).toBeGreaterThan(0.6)
    expect(inside / told).toBeLessThan(0.78)
  })
  it('a straight piece does not pretend to know the end', () => {
    const fit = fitDrift(curve({ tauS: 20_000, untilS: 300, noise: 0.5 }))!
    expect(fit.settlesHz).toBeNull()
    expect(slowIn(fit, 400, 0.1)).toBeNull()
    expect(fit.rateHzPerMin).toBeCloseTo(-0.36, 0)
  })
  it('two time constants, 120 and 1500 s: the end is not told by one curve (truth 0 Hz)', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const slow = curve({ settles: 0, amplitude: 80, tauS: 1500, noise: 0.7, seed })
      const both = slow.map((s, i) => ({ ...s, hz: s.hz + 150 * Math.exp((-i * 5) / 120) }))
      const fit = fitDrift(both)!
      if (fit.settlesHz !== null) expect(Math.abs(fit.settlesHz)).toBeLessThan(3 * fit.settlesUncertaintyHz!)
      // 80 / 1500 e^(-0.6) x 60 = 1.76 Hz/min down at the end, and 150 / 120 e^(-7.5) x 60 = 0.04
      expect(Math.abs(fit.rateHzPerMin + 1.8)).toBeLessThan(0.9)
    }
  })
  it('says when it will be slow enough: dHz/dt = A/tau e^(-t/tau)', () => {
    const samples = curve()
    const fit = fitDrift(samples)!
    const inS = slowIn(fit, samples.at(-1)!.atS, 1)!
    expect((120 / 400) * 60 * Math.exp(-(900 + inS) / 400)).toBeCloseTo(1, 2)
    expect(slowIn(fit, 1000, 5)).toBe(0)
  })
  it('of too few samples nothing is said, of none that are numbers neither', () => {
    expect(fitDrift(curve({ untilS: 20 }))).toBeNull()
    expect(fitDrift(curve({ untilS: 40, everyS: 1 }))).toBeNull()
    expect(() => fitDrift([{ atS: 0, hz: Number.NaN }])).toThrowSaying('NaN')
  })
})

describe('the gate', () => {
  it('goes by the drift where it is known, by time where it is not', () => {
    expect(warmGate(2, curve(), null, 1200)).toMatchObject({ state: 'open', by: 'drift' })
    expect(warmGate(1, curve(), 5000, 1200)).toMatchObject({ state: 'wait', by: 'drift' })
    expect(warmGate(1, [], 600, 1200)).toMatchObject({ state: 'wait', by: 'time', opensInS: 600 })
    expect(warmGate(1, [], 1300, 1200)).toMatchObject({ state: 'open', opensInS: 0 })
    expect(warmGate(1, [], null, 1200)).toMatchObject({ state: 'unknown', by: 'nothing', opensInS: null })
  })
  it('limits by kind of set (S03), or by the sheet', () => {
    expect([
      driftLimit(modelSheet('osmund-27f')),
      driftLimit(modelSheet('larkfield-lx8')),
      driftLimit({ kind: 'fm-mobile', driftLimitHzPerMin: 5 }),
    ]).toEqual([2, 1, 5])
  })
  it('stands before the steps of frequency and no others', () => {
    expect(
      modelSheet('osmund-27f')
        .procedure.filter(isFrequencyStep)
        .map(s => s.id),
    ).toEqual(['A1.3', 'A1.5'])
  })
})
