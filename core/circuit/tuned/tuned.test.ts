import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  coupledPair,
  inductanceRatio,
  softenWax,
  tunedHz,
  tunedResponse,
  tunedStage,
  turnSlug,
  turnsFor,
} from '../index'

const dB = (ratio: number) => 10 * Math.log10(ratio)

describe('tuned stage', () => {
  // Source: handbook figures for a band of 390 kHz at 27.79 MHz, per stage (computed from the textbook
  // formula by hand).
  it.each([
    [20, -0.33],
    [30, -0.71],
    [50, -1.74],
    [80, -3.54],
  ])('Q %d loses %d dB at the band edges', (q, lossDb) => {
    expect(dB(tunedResponse(q, 27.79e6, 27.79e6 - 195e3))).toBeCloseTo(lossDb, 1)
  })
  it('moves 0.5 % in frequency for 1 % of inductance', () => {
    const stage = { centreHz: 27.8e6, q: 20, inductancePerTurn: 0.01 }
    const turns = 2 * Math.atanh(0.01 / 0.02) // where the core law gives 1 %
    expect(tunedHz(stage, turns) / 27.8e6 - 1).toBeCloseTo(-0.005, 4)
  })
  it('is largest at its tuning, whatever the core', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.integer({ min: 26e6, max: 29e6 }),
        (turns, hz) => {
          const stage = { centreHz: 27.8e6, q: 20, inductancePerTurn: 0.03 }
          const at = (frequencyHz: number) =>
            tunedStage.respond(stage, { turns, broken: false, frequencyHz }, null)
          expect(at(hz)).toBeLessThanOrEqual(at(tunedHz(stage, turns)))
        },
      ),
    )
  })
  it('the turns for a frequency give it; past the thread there are none', () => {
    const stage = { centreHz: 27.8e6, q: 20, inductancePerTurn: 0.03 }
    expect(tunedHz(stage, turnsFor(stage, 27.5e6))).toBeCloseTo(27.5e6, 3)
    expect(turnsFor(stage, 20e6)).toBe(Infinity)
    expect(turnsFor(stage, 40e6)).toBe(-Infinity)
  })
  it.each([
    [0, 1, 1],
    [1, 0, 1],
    [1, 1, -1],
  ])('refuses Q %d, %d Hz at %d Hz', (q, f0, f) => {
    expect(() => tunedResponse(q, f0, f)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('core', () => {
  it('rises with the turns and ends at its stops', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 1.9, noNaN: true }), turns => {
        expect(inductanceRatio(0.03, turns + 0.05)).toBeGreaterThan(inductanceRatio(0.03, turns))
      }),
    )
    expect(inductanceRatio(0.03, 9)).toBe(inductanceRatio(0.03, 2))
  })
  const free = { turns: 0, waxed: false, broken: false }
  const waxed = { ...free, waxed: true }
  it.each([
    ['free, plastic', free, 'plastic hexagon', false, 'turned', { turns: 1, broken: false }],
    ['waxed, plastic, gently', waxed, 'plastic hexagon', false, 'stuck', { turns: 0, broken: false }],
    ['waxed, plastic, forced', waxed, 'plastic hexagon', true, 'broke', { broken: true }],
    ['waxed, steel', waxed, 'steel screwdriver', false, 'broke', { broken: true }],
    ['free, steel, gently', free, 'steel screwdriver', false, 'turned', { turns: 1, broken: false }],
    ['free, steel, forced', free, 'steel screwdriver', true, 'broke', { broken: true }],
    ['broken', { ...free, broken: true }, 'plastic hexagon', false, 'slips', { turns: 1, broken: true }],
  ] as const)('%s', (_name, slug, tool, forced, motion, after) =>
    expect(turnSlug(slug, 1, tool, forced)).toMatchObject({ motion, slug: after }),
  )
  it('stops at the end of its thread; soft wax lets go', () => {
    expect(turnSlug(free, 5, 'plastic hexagon')).toMatchObject({ motion: 'stop', slug: { turns: 2 } })
    expect(turnSlug(softenWax(waxed), 1, 'plastic hexagon').motion).toBe('turned')
  })
})

describe('coupled pair', () => {
  const pair = (n: number) => ({ primaryQ: 40, secondaryQ: 40, k: n / 40 })
  const at = (n: number, frequencyHz: number) =>
    coupledPair.respond(pair(n), { primaryHz: 27e6, secondaryHz: 27e6, frequencyHz }, null)
  // C36: at f0 relative to critical 2n/(1 + n^2): n 0.5 or 2: 0.8 (-1.94 dB), 3: 0.6 (-4.44 dB).
  it.each([
    [1, 0],
    [0.5, -1.94],
    [2, -1.94],
    [3, -4.44],
  ])('n = %d: %d dB in the middle', (n, db) => expect(dB(at(n, 27e6))).toBeCloseTo(db, 2))
  it('critical: 3 dB wide sqrt 2 f/Q', () => {
    const half = (Math.SQRT2 * 27e6) / 40 / 2
    expect(dB(at(1, 27e6 + half))).toBeCloseTo(-3.01, 0.5)
  })
  it('over-coupled: two humps as high as the critical one, near f0/sqrt(1 +/- sqrt(k^2 - 1/Q^2))', () => {
    const n = 3
    const away = Math.sqrt((n / 40) ** 2 - 1 / 40 ** 2)
    for (const sign of [1, -1]) expect(at(n, 27e6 / Math.sqrt(1 + sign * away))).toBeGreaterThan(0.97)
  })
  it('peaking one core pulls the other: the best secondary depends on the primary', () => {
    const best = (primaryHz: number) =>
      Array.from({ length: 401 }, (_, i) => 26.5e6 + i * 2500).reduce((a, b) => {
        const p = (secondaryHz: number) =>
          coupledPair.respond(pair(1.5), { primaryHz, secondaryHz, frequencyHz: 27e6 }, null)
        return p(b) > p(a) ? b : a
      })
    expect(Math.abs(best(27.4e6) - best(27e6))).toBeGreaterThan(20e3)
  })
  it('refuses what is no pair', () =>
    expect(() =>
      coupledPair.respond(
        { primaryQ: 40, secondaryQ: 40, k: 1.5 },
        { primaryHz: 1, secondaryHz: 1, frequencyHz: 1 },
        null,
      ),
    ).toThrow(expect.objectContaining({ code: 'out-of-range' })))
})
