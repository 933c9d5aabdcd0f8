import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { coupledPair, piNetwork, pullRatio, tunedResponse, valvePair } from '../../core/circuit'

/** The circuits as Debian's ngspice computes them, at every run; netlists beside this file. */
// It ends with status 1 after a control block that printed; what it printed is what counts.
const spice = (netlist: string) =>
  spawnSync('ngspice', ['-b', join(import.meta.dirname, `${netlist}.cir`)], {
    encoding: 'utf8',
    timeout: 110_000,
  }).stdout
const numbers = (text: string, line: RegExp) => [...text.matchAll(line)].map(m => Number(m[1]))
const dB = (ratio: number) => 10 * Math.log10(ratio)

describe('tuned stage, Q 30, 300 kHz off', () => {
  const text = spice('tunedStage')
  const levels = [...text.matchAll(/^(?:db\(v\(out\)\) = |0\s+[\d.e+]+\s+)([-\d.e+]+)/gm)].map(m =>
    Number(m[1]),
  )
  it('loses at the three channels what the simulator says', () => {
    // printed in this order after the first table: 27.79125, 28.09125 (its peak), 27.60125, 27.99125 MHz
    const [middle, peak, low, high] = levels.slice(-4) as [number, number, number, number]
    for (const [hz, db] of [
      [27.79125e6, middle],
      [27.60125e6, low],
      [27.99125e6, high],
    ] as const) {
      // The formula is the one for |df| << f; at 1.7 % off it may differ by 0.05 dB (the term of second
      // order).
      expect(Math.abs(dB(tunedResponse(30, 28.09125e6, hz)) - (db - peak))).toBeLessThan(0.05)
    }
  })
})

describe('crystal with a load', () => {
  it('is pulled to where the current peaks, to a printed digit', () => {
    const peaks = numbers(spice('crystalPull'), /fpeak\s*=\s*([\d.e+-]+)/g)
    const loads = [12, 15, 20, 25, 30, 40]
    expect(peaks).toHaveLength(loads.length)
    loads.forEach((pF, i) =>
      expect(
        Math.abs(pullRatio({ motionalF: 20e-15, shuntF: 5e-12 }, pF * 1e-12) - (peaks[i]! / 10.24e6 - 1)) *
          1e6,
      ).toBeLessThan(1.2),
    )
  })
})

describe('coupled pair, Q 40', () => {
  const rows = [...spice('coupledPair').matchAll(/^\d\s+([\d.e+]+)\s+([\d.e+-]+)/gm)].map(m => ({
    hz: Number(m[1]),
    volts: Number(m[2]),
  }))
  it.each([
    [0.5, 0],
    [1, 1],
    [2, 2],
    [3, 3],
  ])('n = %d over the band', (n, block) => {
    const critical = Math.max(...rows.slice(9, 18).map(r => r.volts))
    for (const { hz, volts } of rows.slice(9 * block, 9 * block + 9)) {
      const own = dB(
        coupledPair.respond(
          { primaryQ: 40, secondaryQ: 40, k: n / 40 },
          { primaryHz: 27e6, secondaryHz: 27e6, frequencyHz: hz },
          null,
        ),
      )
      // Narrow-band formula: each circuit and the coupling are taken as even about the middle; each is wrong
      // by at most the detuning, 3 %: 3 x 0.257 dB.
      expect(Math.abs(own - 2 * dB(volts / critical))).toBeLessThan(3 * 20 * Math.log10(1.03))
    }
  })
})

describe('pi-network with a coil of Q 200', () => {
  const text = spice('piNetwork')
  const [re, im, out] = [
    /real\(v\(p\)\) = ([\d.e+-]+)/g,
    /imag\(v\(p\)\) = ([\d.e+-]+)/g,
    /abs\(v\(o\)\) = ([\d.e+-]+)/g,
  ].map(line => numbers(text, line)) as [number[], number[], number[]]
  it.each([54, 60, 64, 67.25, 70, 75, 82].map((pF, i) => [pF, i]))(
    '%d pF: impedance and efficiency to a part in ten thousand',
    (pF, i) => {
      const z = piNetwork.respond(
        { inductanceH: 2.1056e-6, coilQ: 200, loadOhm: 50 },
        { plateF: pF * 1e-12, loadF: 363.2e-12, frequencyHz: 14.2e6 },
        null,
      )
      expect(Math.abs(z.resistanceOhm / re[i]! - 1)).toBeLessThan(1e-4)
      expect(Math.abs(z.reactanceOhm - im[i]!)).toBeLessThan(1e-4 * Math.hypot(re[i]!, im[i]!))
      expect(Math.abs(z.efficiency / (out[i]! ** 2 / 50 / re[i]!) - 1)).toBeLessThan(1e-4)
    },
  )
})

describe('plate current dip', () => {
  // A half-wave current source that gives way at a rail, into a tuned circuit: only the shape is compared,
  // the laws of the knee differ.
  const mean = numbers(spice('plateDip'), /^mean\s*=\s*([-\d.e+]+)/gm).map(Math.abs)
  const [heavy, light] = [mean.slice(0, 7), mean.slice(7)]
  const depth = (currents: readonly number[]) => Math.min(...currents) / Math.max(...currents)
  const capacitances = [45, 50, 54, 57.1, 61, 66, 72]
  const own = (ohm: number) =>
    capacitances.map(pF => {
      const w = 2 * Math.PI * 14.2e6
      const susceptance = w * pF * 1e-12 - 1 / (w * 2.2e-6)
      const size = 1 / ohm ** 2 + susceptance ** 2
      return valvePair.respond(
        {
          driveA: 0.9 / Math.PI,
          idleA: 0,
          emission: 1,
          swingRatio: 0.8,
          plateOhm: Infinity,
          fundamentalRatio: Math.PI / 2,
        },
        {
          plateV: 800,
          bias: 0.5,
          drive: 1,
          loadResistanceOhm: 1 / ohm / size,
          loadReactanceOhm: -susceptance / size,
          warmth: 1,
        },
        null,
      ).plateA
    })
  it('lies at resonance in both, and is deeper with the lighter load', () => {
    for (const [ohm, spiced] of [
      [1650, heavy],
      [2700, light],
    ] as const) {
      expect(capacitances[own(ohm).indexOf(Math.min(...own(ohm)))]).toBe(57.1)
      expect(capacitances[spiced.indexOf(Math.min(...spiced))]).toBe(57.1)
    }
    expect(depth(light)).toBeLessThan(depth(heavy))
    expect(depth(own(2700))).toBeLessThan(depth(own(1650)))
  })
  it('off resonance both draw all the drive asks for: 0.9 A peak of a half sine, 286 mA', () => {
    expect(heavy[0]! / (0.9 / Math.PI)).toBeGreaterThan(0.9)
    expect(own(1650)[0]! / (0.9 / Math.PI)).toBeGreaterThan(0.9)
  })
})
