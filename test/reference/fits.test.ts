import { execFileSync } from 'node:child_process'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { attribute, schemeRow, schemeUnknowns } from '../../core/run/attribution'
import { pchip } from '../../core/numeric/pchip'
import { fitDrift } from '../../core/run/warmth'
import { channelPlan } from '../../core/rules'
import { modelSheet } from '../../core/sheet'
import { randomFrom } from '../fixtures/faults/random'

const random = randomFrom(62)
const gauss = () => Math.sqrt(-2 * Math.log(1 - random.next())) * Math.cos(2 * Math.PI * random.next())

const drift = [
  [-40, 120, 400, 900, 0.3],
  [15, -60, 150, 600, 0.5],
  [0, 300, 700, 1800, 1],
].map(([settles, amplitude, tau, until, noise]) => {
  const atS = Array.from({ length: 120 }, (_, i) => (i * until!) / 119)
  return { atS, hz: atS.map(t => settles! + amplitude! * Math.exp(-t / tau!) + noise! * gauss()) }
})
const scheme = modelSheet('osmund-27f').scheme!
const unknowns = schemeUnknowns(scheme)
const readings = [
  ['ref', null],
  ['tx', 1],
  ['tx', 20],
  ['tx', 40],
  ['if2', 20],
] as const
const priors = [1, 3, 10].map(u => {
  const rows = readings.map(([frequencyId, channel]) =>
    schemeRow(scheme, channelPlan('uk27'), {
      frequencyId,
      channel,
      errorHz: random.within(-300, 300),
      standardUncertaintyHz: u,
    }),
  )
  return {
    own: rows,
    rows: rows.map(r => unknowns.map(x => r.coefficients[x.name] ?? 0)),
    errors: rows.map(r => r.errorHz),
    sigma: rows.map(r => r.standardUncertaintyHz),
    prior: unknowns.map(x => x.priorSigma),
  }
})
const monotone = Array.from({ length: 6 }, () => {
  const x = Array.from({ length: 5 }, (_, i) => i * 16 + Math.floor(random.within(0, 12)))
  let y = 0
  return {
    x,
    y: x.map(() => (y += random.within(0, 2))),
    at: Array.from({ length: 40 }, (_, i) => x[0]! + (i * (x.at(-1)! - x[0]!)) / 39),
  }
})
interface Answer {
  readonly drift: { settlesHz: number; amplitudeHz: number; tauS: number }[]
  readonly priors: { values: number[]; sigmas: number[] }[]
  readonly monotone: number[][]
}
const scipy = JSON.parse(
  execFileSync('/usr/bin/python3', [join(import.meta.dirname, 'fits.py')], {
    input: JSON.stringify({ drift, priors, monotone }),
    encoding: 'utf8',
    timeout: 60_000,
  }),
) as Answer

describe('against SciPy and NumPy', () => {
  // Both minimise the same sum of squares: only where each stops looking is left.
  it.each(drift.map((d, i) => [i, d] as const))(
    'drift %d: the same end, step and time constant as curve_fit',
    (i, { atS, hz }) => {
      const fit = fitDrift(atS.map((t, k) => ({ atS: t, hz: hz[k]! })))!
      const s = scipy.drift[i]!
      expect(Math.abs(fit.settlesHz! - s.settlesHz)).toBeLessThan(0.01)
      expect(Math.abs(fit.amplitudeHz - s.amplitudeHz)).toBeLessThan(0.02)
      expect(Math.abs(fit.tauS / s.tauS - 1)).toBeLessThan(1e-3)
    },
  )
  it.each(priors.map((p, i) => [i, p] as const))(
    'attribution %d: the same estimates and spreads as lstsq with the priors as rows',
    (i, { own }) => {
      const found = attribute(unknowns, own)
      found.forEach((a, k) => {
        expect(Math.abs(a.value - scipy.priors[i]!.values[k]!)).toBeLessThan(1e-6)
        expect(Math.abs(a.sigma - scipy.priors[i]!.sigmas[k]!)).toBeLessThan(1e-6)
      })
    },
  )
  it.each(monotone.map((m, i) => [i, m] as const))(
    'monotone cubic %d: the same curve as PchipInterpolator',
    (i, { x, y, at }) => {
      at.forEach((t, k) => expect(Math.abs(pchip(x, y, t) - scipy.monotone[i]![k]!)).toBeLessThan(1e-9))
    },
  )
})
