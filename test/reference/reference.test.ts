import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import type { Measurement } from '../../core/signal'

interface Figures {
  readonly kind: string
  readonly [figure: string]: unknown
}
interface Reference {
  readonly versions: Record<string, string>
  readonly figures: Record<string, Figures>
}

const HERE = import.meta.dirname
const folder = mkdtempSync(join(tmpdir(), 'diapason-reference-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
/** Debian's Python, which the packages of Debian belong to. */
const fresh = JSON.parse(
  execFileSync('/usr/bin/python3', [join(HERE, 'reference.py'), folder], {
    encoding: 'utf8',
    timeout: 120_000,
  }),
) as Reference
const stored = JSON.parse(readFileSync(join(HERE, 'reference.json'), 'utf8')) as Reference

function measured(name: string, kind: string): Measurement {
  const file = join(folder, kind === 'audio' ? `${name}.wav` : `${name}.sigmf-meta`)
  return JSON.parse(
    execFileSync('node', [join(HERE, '..', '..', 'scripts', 'measure.mjs'), file, '--as', kind, '--json'], {
      encoding: 'utf8',
    }),
  ) as Measurement
}
const number = (f: Figures, name: string) => f[name] as number

describe('the stored reference', () => {
  it('is what the programs give today, to a part in ten thousand', () => {
    const near = (a: unknown, b: unknown): boolean => {
      if (typeof a === 'number' && typeof b === 'number')
        return Math.abs(a - b) <= 1e-4 * Math.max(1e-3, Math.abs(a))
      if (typeof a !== 'object' || a === null) return a === b
      return Object.entries(a).every(([k, v]) => near(v, (b as Record<string, unknown>)[k]))
    }
    for (const [name, figures] of Object.entries(stored.figures))
      expect([name, near(figures, fresh.figures[name])]).toEqual([name, true])
    expect(Object.keys(fresh.figures)).toEqual(Object.keys(stored.figures))
  })
})

const of = (kind: string) => Object.entries(fresh.figures).filter(([, f]) => f.kind === kind)

// Tolerances: the two programs see the same noise, but average it in other ways; 20 dB leaves 3e-3, clean
// signals 5e-4.
describe.each(of('am'))('%s against SciPy', (name, f) => {
  const m = measured(name, 'am')
  const slack = name.includes('noisy') ? 4e-3 : 8e-4
  it('carrier and tone', () => {
    expect(Math.abs(m.carrier!.offsetHz - number(f, 'offsetHz'))).toBeLessThan(2e-3)
    expect(Math.abs(m.am!.audioHz! - number(f, 'audioHz'))).toBeLessThan(3e-3)
  })
  it('depths', () => {
    for (const key of ['depthPositive', 'depthNegative', 'depthFundamental'] as const)
      expect(Math.abs(m.am![key]! - number(f, key)), key).toBeLessThan(
        key === 'depthFundamental' ? slack : 3 * slack,
      )
  })
  it('neighbouring channels, both ways of counting', () => {
    for (const [offset, [wide, inner]] of Object.entries(f.adjacent as Record<string, [number, number]>)) {
      const dbc = (bandwidth: number) =>
        m.spectrum!.adjacent.find(a => a.offsetHz === Number(offset) && a.bandwidthHz === bandwidth)!.dbc
      expect(Math.abs(dbc(10_000) - wide), offset).toBeLessThan(0.15)
      expect(Math.abs(dbc(8000) - inner), offset).toBeLessThan(0.15)
    }
  })
})

describe.each(of('fm'))('%s against SciPy', (name, f) => {
  const m = measured(name, 'fm')
  it('carrier, tone, deviation, carrier line', () => {
    expect(Math.abs(m.carrier!.offsetHz - number(f, 'offsetHz'))).toBeLessThan(
      name.includes('noisy') ? 0.3 : 0.02,
    )
    expect(Math.abs(m.fm!.audioHz! / number(f, 'audioHz') - 1)).toBeLessThan(1e-5)
    expect(Math.abs(m.fm!.deviationFundamentalHz! / number(f, 'deviationFundamentalHz') - 1)).toBeLessThan(
      name.includes('noisy') ? 2e-3 : 5e-4,
    )
    // A carrier line deep in a null is moved by any trace of noise.
    if (number(f, 'carrierLineDbc') > -20)
      expect(Math.abs(m.fm!.carrierLineDbc! - number(f, 'carrierLineDbc'))).toBeLessThan(0.1)
  })
})

describe('what liquid-dsp sends', () => {
  it('has the depth and the deviation that its modulators were told', () => {
    expect(measured('liquid-am', 'am').am!.depthFundamental).toBeCloseTo(0.6, 3)
    expect(measured('liquid-fm', 'fm').fm!.deviationFundamentalHz! / 2000).toBeCloseTo(1, 2)
  })
})

describe.each(of('ssb'))('%s against SciPy', (name, f) => {
  const m = measured(name, 'ssb')
  it('third order, PEP over average', () => {
    expect(Math.abs(m.ssb!.imd3DbBelowTone! - number(f, 'imd3DbBelowTone'))).toBeLessThan(0.05)
    expect(Math.abs(m.ssb!.pepToMeanDb! - number(f, 'pepToMeanDb'))).toBeLessThan(0.1)
  })
})

describe.each(of('audio'))('%s against SciPy', (name, f) => {
  const m = measured(name, 'audio')
  it('fundamental, SINAD in both bands, second harmonic', () => {
    expect(Math.abs(m.audio!.fundamentalHz! - number(f, 'fundamentalHz'))).toBeLessThan(0.01)
    expect(Math.abs(m.audio!.sinadDb! - number(f, 'sinadDb'))).toBeLessThan(0.05)
    expect(Math.abs(m.audio!.sinadVoiceDb! - number(f, 'sinadVoiceDb'))).toBeLessThan(0.3)
    if (name === 'tone-clean')
      expect(Math.abs(m.audio!.harmonicsDbc[0]! - number(f, 'secondDbc'))).toBeLessThan(0.01)
  })
})
