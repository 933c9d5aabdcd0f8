import { describe, expect, it } from 'vitest'
import { dbmToVolts } from '../../quantity'
import { audioSnr, ifFilter, levelForSinad, sinadDb, sMeter, type Detection } from '../index'

const SSB: Detection = { kind: 'ssb', bandwidthHz: 2400 }
const AM: Detection = { kind: 'am', depthRatio: 0.3, audioHz: 3000 }
const front = (noiseFigureDb: number) => ({ noiseFigureDb, faultLossDb: 0, distortionRatio: 0 })

describe('sensitivity', () => {
  // C26, computed: SINAD max = 10 log(1 + S/N), B 2.4 kHz.
  it.each([
    [-107, 0, 33.2],
    [-107, 6, 27.2],
    [-113, 3, 24.2],
    [-120, 10, 10.6],
    [-125, 3, 12.4],
    [-130, 0, 10.6],
    [-135, 6, 2.6],
    [-140, 10, 0.4],
  ])('SSB %d dBm at NF %d: %d dB', (dbm, nf, db) =>
    expect(sinadDb(front(nf), 0, SSB, dbmToVolts(dbm))).toBeCloseTo(db, 1),
  )
  it.each([
    [0, -128.5],
    [6, -122.5],
    [10, -118.5],
  ])('12 dB SINAD at NF %d needs %d dBm', (nf, dbm) =>
    expect(20 * Math.log10(levelForSinad(front(nf), 0, SSB, 12) / dbmToVolts(dbm))).toBeCloseTo(0, 1),
  )
  // C27: 1 uV, m 0.3: 18.7 dB at NF 0, 12.7 at 6, 10.7 at 8; 10 dB (S+N)/N needs 0.35, 0.69, 0.87 uV.
  it.each([
    [0, 18.7],
    [6, 12.7],
    [8, 10.7],
  ])('AM 1 uV at NF %d: S/N %d dB', (nf, db) =>
    expect(10 * Math.log10(audioSnr(nf, 0, AM, 1e-6))).toBeCloseTo(db, 1),
  )
  it.each([
    [0, 0.35],
    [6, 0.69],
    [8, 0.87],
  ])('AM at NF %d: 10 dB with %d uV', (nf, uV) =>
    expect(levelForSinad(front(nf), 0, AM, 10) * 1e6).toBeCloseTo(uV, 1),
  )
  // C28: 1.5 kHz, W 3 kHz, -107 dBm, NF 6: 21.9 dB, above threshold (the smooth bend takes a little).
  it('FM above threshold', () =>
    expect(
      10 * Math.log10(audioSnr(6, 0, { kind: 'fm', deviationHz: 1500, audioHz: 3000 }, dbmToVolts(-107))),
    ).toBeCloseTo(21.9, 0.5))
  it('falls 1 dB per dB, and distortion limits it at high levels only (5 % = 26 dB)', () => {
    const p = { ...front(6), distortionRatio: 0.05 }
    expect(sinadDb(p, 0, SSB, dbmToVolts(-47))).toBeCloseTo(26, 1)
    expect(
      sinadDb(front(6), 0, SSB, dbmToVolts(-100)) - sinadDb(front(6), 0, SSB, dbmToVolts(-101)),
    ).toBeCloseTo(1, 2)
    expect(levelForSinad(p, 0, SSB, 40)).toBe(Infinity)
  })
  it('loss in front takes as much from the level', () =>
    expect(
      levelForSinad({ ...front(8), faultLossDb: 20 }, 0, AM, 10) / levelForSinad(front(8), 0, AM, 10),
    ).toBeCloseTo(10, 6))
  it('nothing in, nothing out', () => expect(sinadDb(front(6), 0, SSB, 0)).toBe(0))
})

describe('filter and meter', () => {
  it('6 dB at the half width', () =>
    expect(ifFilter.respond({ centreHz: 455_000, halfWidthHz: 3500 }, { frequencyHz: 458_500 }, null)).toBe(
      6,
    ))
  // C25: S8 50.1, S5 6.3, S1 0.40 uV from 100 uV.
  it.each([
    [100, 9],
    [50.1, 8],
    [6.3, 5],
    [0.4, 1],
  ])('%d uV read S%d', (uV, s) =>
    expect(
      sMeter.respond(
        { s9V: 100e-6, unitDb: 6, presetDb: 48 },
        { levelV: uV * 1e-6, lossDb: 0, preset: 0.5 },
        null,
      ),
    ).toBeCloseTo(s, 1),
  )
})
