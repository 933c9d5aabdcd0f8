import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  amplitudeOf,
  atSupply,
  audioChain,
  balancedModulator,
  benchSupply,
  bipolarBias,
  gateBias,
  heatPath,
  levelControl,
  lowPass,
  outputStage,
  presetTrack,
  seriesModulator,
  softLimit,
  type OutputStage,
} from '../index'

describe('soft limit', () => {
  it('rises to its limit and never beyond', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.001, max: 1, noNaN: true }),
        fc.constantFrom(1, 2, 3, 6),
        (drive, more, p) => {
          // rounding alone
          expect(softLimit(drive + more, p)).toBeGreaterThanOrEqual(softLimit(drive, p) - 1e-12)
          expect(softLimit(drive, p)).toBeLessThanOrEqual(1 + 1e-12)
        },
      ),
    )
    expect(softLimit(-1, 2)).toBe(0)
    expect(softLimit(1, 2)).toBeCloseTo(2 ** -0.25, 12)
  })
})

describe('output stage', () => {
  const stage: OutputStage = {
    saturatedW: 4,
    nominalV: 13.8,
    sharpness: 3,
    efficiency: 0.6,
    cutoffRatio: 0.9,
    idleA: 0.05,
    dcGain: 80,
    fadePerK: 0.001,
    fadeFromC: 60,
    shortOhm: null,
    dead: false,
  }
  // Source: P ~ V^2 worked by hand: 4 W at 13.8 V gives 3.02 W at 12.0 V and 4.36 W at 14.4 V.
  it.each([
    [12, 3.02],
    [12.6, 3.33],
    [13.2, 3.66],
    [14.4, 4.36],
  ])('at %d V gives %d W', (volts, watts) => {
    expect(atSupply(4, volts, 13.8)).toBeCloseTo(watts, 2)
    expect(
      amplitudeOf(outputStage.respond(stage, { supplyV: volts, idleA: 0.05, junctionC: 25 }, null), 50) ** 2,
    ).toBeCloseTo(watts, 2)
  })
  it('without idle current the first nine tenths of the drive are lost', () => {
    const cold = outputStage.respond(stage, { supplyV: 13.8, idleA: 0, junctionC: 25 }, null)
    expect(amplitudeOf(cold, 0.9)).toBe(0)
    expect(amplitudeOf(cold, 1.2)).toBeGreaterThan(0)
    expect(outputStage.respond(stage, { supplyV: 13.8, idleA: 0.05, junctionC: 25 }, null).threshold).toBe(0)
  })
  it('fades with heat: 1 per mille a kelvin above 60 deg C are 10 % at 160', () =>
    expect(
      outputStage.respond(stage, { supplyV: 13.8, idleA: 0.05, junctionC: 160 }, null).saturationV ** 2,
    ).toBeCloseTo(3.6, 9))
  it.each([{ dead: true }, { shortOhm: 0.4 }])('%j gives nothing', change =>
    expect(
      outputStage.respond({ ...stage, ...change }, { supplyV: 13.8, idleA: 0, junctionC: 25 }, null)
        .saturationV,
    ).toBe(0),
  )
})

describe('bias', () => {
  it('square law above the threshold: 0.25 A/V^2 at 2.4 V over 2.1 V are 22.5 mA', () => {
    expect(
      gateBias.respond(
        { clampFitted: true, fullV: 5, thresholdV: 2.1, gainAPerV2: 0.25 },
        { position: 0.48 },
        null,
      ),
    ).toMatchObject({ gateV: 2.4 })
    expect(
      gateBias.respond(
        { clampFitted: true, fullV: 5, thresholdV: 2.1, gainAPerV2: 0.25 },
        { position: 0.48 },
        null,
      ).idleA,
    ).toBeCloseTo(0.0225, 9)
  })
  it('without its clamp part there is none', () => {
    expect(
      gateBias.respond({ clampFitted: false, fullV: 5, thresholdV: 2, gainAPerV2: 1 }, { position: 1 }, null),
    ).toEqual({ gateV: 0, idleA: 0 })
    expect(bipolarBias.respond({ clampFitted: false, fullA: 0.2 }, { position: 1 }, null)).toBe(0)
    expect(bipolarBias.respond({ clampFitted: true, fullA: 0.2 }, { position: 0.5 }, null)).toBeCloseTo(
      0.05,
      12,
    )
  })
})

describe('heat', () => {
  // C41, computed: 62 K/W, 40 s: time to +100 K at 4.5 W 17.8 s, 6 W 12.5 s, 6.9 W 10.7 s, 3 W 30.9 s; bursts
  // at 6 W.
  const bare = { junctionKPerW: 0, junctionS: 1, sinkKPerW: 62, sinkS: 40 }
  const rise = (watts: number, s: number) =>
    heatPath.pass(bare, { heatW: watts, ambientC: 25 }, heatPath.rest(bare), s).sinkRiseK
  it.each([
    [4.5, 17.8],
    [6, 12.5],
    [6.9, 10.7],
    [3, 30.9],
  ])('%d W reach +100 K in %d s', (watts, s) => expect(rise(watts, s)).toBeCloseTo(100, 0))
  it.each([
    [5, 10, 140],
    [5, 20, 94],
    [5, 60, 54],
    [10, 30, 130],
    [10, 120, 86],
    [20, 60, 169],
  ])('%d s on, %d s off settles at +%d K', (on, off, peakK) => {
    let m = heatPath.rest(bare)
    for (let i = 0; i < 60; i++)
      m = heatPath.pass(
        bare,
        { heatW: 0, ambientC: 25 },
        heatPath.pass(bare, { heatW: 6, ambientC: 25 }, m, on),
        off,
      )
    expect(heatPath.pass(bare, { heatW: 6, ambientC: 25 }, m, on).sinkRiseK).toBeCloseTo(peakK, -0.3)
  })
})

describe('series modulator', () => {
  // C40, computed: Vs 13.8, Vfull 13.3, PEP 20 W, eta 0.6 -> R 5.31 ohm.
  const p = { dropV: 0.5, shorted: false, loadOhm: (13.3 ** 2 * 0.6) / 20 }
  it.each([
    [1, 2.97, 0.56, 6.1],
    [4, 5.95, 1.12, 8.8],
    [5, 6.65, 1.25, 9],
    [7, 7.87, 1.48, 8.8],
    [10, 9.4, 1.77, 7.8],
  ])('%d W: %d V, %d A, %d W of heat', (watts, volts, amps, heat) => {
    const rail = seriesModulator.respond(p, { supplyV: 13.8, wantedV: 13.3 * Math.sqrt(watts / 20) }, null)
    expect(rail.railV).toBeCloseTo(volts, 2)
    expect(rail.currentA).toBeCloseTo(amps, 2)
    expect(rail.heatW).toBeCloseTo(heat, 1)
  })
  it('shorted, the rail is the supply whatever is wanted', () =>
    expect(
      seriesModulator.respond({ ...p, shorted: true }, { supplyV: 13.8, wantedV: 2 }, null),
    ).toMatchObject({ railV: 13.8, crestV: 13.8, heatW: 0 }))
})

describe('audio', () => {
  const chain = { gainPerV: 120, limiterFitted: true, lowCutHz: 100, humRatio: 0 }
  const at = (toneV: number, rest = {}) =>
    audioChain.respond({ ...chain, ...rest }, { toneV, toneHz: 1000, limitRatio: 0.9 }, null)
  it('the limiter holds over 16 dB', () => expect(at(0.03 * 10 ** 0.8) - at(0.03)).toBeLessThan(0.005))
  it('without it the modulation follows the audio', () =>
    expect(at(0.015, { limiterFitted: false }) / at(0.03, { limiterFitted: false })).toBeCloseTo(0.5, 9))
  it('a low cut is 3 dB down at its corner', () =>
    expect(
      audioChain.respond(
        { ...chain, limiterFitted: false },
        { toneV: 0.001, toneHz: 100, limitRatio: 1 },
        null,
      ) / at(0.001, { limiterFitted: false, lowCutHz: 1e-9 }),
    ).toBeCloseTo(Math.SQRT1_2, 4))
  it('silence stays silent', () => expect(at(0)).toBe(0))
  it('a balanced modulator is best at its null', () => {
    const p = { nullAt: 0.52, floorRatio: 0.003, slope: 0.4 }
    expect(balancedModulator.respond(p, { position: 0.52 }, null)).toBe(0.003)
    expect(balancedModulator.respond(p, { position: 0.77 }, null)).toBeCloseTo(0.1, 3)
  })
  it('level control only takes away', () => {
    expect(levelControl.respond({ rangeDb: 20 }, { driveOffered: 1.6, driveAtLimit: 0.8 }, null)).toBe(0.8)
    expect(levelControl.respond({ rangeDb: 20 }, { driveOffered: 0.5, driveAtLimit: 0.8 }, null)).toBe(0.5)
    // 20 dB of range: drive ten times too high is held no lower than a tenth of it
    expect(levelControl.respond({ rangeDb: 20 }, { driveOffered: 16, driveAtLimit: 0.8 }, null)).toBeCloseTo(
      1.6,
      12,
    )
  })
  it('a clean track is even, a dirty one is not, and both repeat', () => {
    expect(presetTrack.respond({ dirty: false, seed: 1 }, { position: 0.37 }, null)).toBe(0.37)
    const dirty = (p: number) => presetTrack.respond({ dirty: true, seed: 1 }, { position: p }, null)
    expect(dirty(0.371)).toBe(dirty(0.371))
    expect(
      new Set(Array.from({ length: 40 }, (_, i) => Math.round((dirty(0.4 + i / 200) / (0.4 + i / 200)) * 50)))
        .size,
    ).toBeGreaterThan(8)
  })
})

describe('filter and supply', () => {
  const filter = {
    secondDbc: -18,
    lossDb: 30,
    trap: { centreHz: 54.37e6, q: 30, inductancePerTurn: 0.036 },
    trapDb: 25,
  }
  const second = (trapTurns: number) => lowPass.respond(filter, { carrierHz: 27.185e6, trapTurns }, null)
  it('the trap takes its 25 dB where it stands right, and less beside', () => {
    expect(second(0)).toBeCloseTo(-73, 6)
    expect(second(1)).toBeCloseTo(-70.1, 1) // by hand: 1.03327 of L, x = -0.974, 22.1 dB of the trap left
    expect(lowPass.respond({ ...filter, trap: null }, { carrierHz: 27.185e6, trapTurns: 0 }, null)).toBe(-48)
  })
  const supply = (load: (v: number) => number, rest = {}) =>
    benchSupply.respond(
      { setV: 13.8, limitA: 1.5, foldback: false, leadOhm: 0, ...rest },
      { drawA: load },
      null,
    )
  it('free, it holds its voltage', () =>
    expect(supply(v => v / 20)).toMatchObject({ setV: 13.8, limiting: false }))
  it('into 0.4 ohm it holds its limit: 0.6 V', () => {
    expect(supply(v => v / 0.4).setV).toBeCloseTo(0.6, 6)
    expect(supply(v => v / 0.4).currentA).toBeCloseTo(1.5, 6)
  })
  it('folding back it gives less than its limit', () =>
    expect(supply(v => v / 0.4, { foldback: true }).currentA).toBeLessThan(0.7))
  // 4.4 mohm of lead at 50 A drop 0.22 V (C39): 50 A at 13.78 V are 0.2756 ohm.
  it('a lead drops its share', () =>
    expect(13.8 - supply(v => v / 0.2716, { limitA: 100, leadOhm: 0.0044 }).setV).toBeCloseTo(0.22, 2))
})
