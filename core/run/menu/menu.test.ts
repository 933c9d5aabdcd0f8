import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { act, advance, healthyRig, truthOf } from '../../rig'
import { proposeCode, type MenuReading } from './index'
import { pchip } from '../../numeric/pchip'

// C46, computed (monotone cubic as in SciPy): 5Eh 3.02 W, 66h 3.94 W, 6Eh 5.00 W.
const READ: MenuReading[] = [
  { code: 0x5e, value: 3.02 },
  { code: 0x66, value: 3.94 },
  { code: 0x6e, value: 5 },
]
const GOAL = { limit: 4, boundRatio: 0.02, maxCode: 255 }

describe('monotone cubic', () => {
  it.each([
    [0x64, 3.698],
    [0x65, 3.818],
    [0x67, 4.064],
  ])('at %d %d W', (code, watts) =>
    expect(
      pchip(
        READ.map(r => r.code),
        READ.map(r => r.value),
        code,
      ),
    ).toBeCloseTo(watts, 3),
  )
  it('never leaves the readings it lies between', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 5, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (steps, share) => {
          const xs = [0, ...steps.map((_, i) => i + 1)]
          const ys = steps.reduce((a, s) => [...a, a.at(-1)! + s], [1])
          const x = share * xs.at(-1)!
          const y = pchip(xs, ys, x)
          expect(y).toBeGreaterThanOrEqual(ys[Math.floor(x)]! - 1e-9)
          expect(y).toBeLessThanOrEqual(ys[Math.min(ys.length - 1, Math.ceil(x))]! + 1e-9)
        },
      ),
    )
  })
  it('outside it refuses', () =>
    expect(() => pchip([1, 2], [1, 2], 3)).toThrow(expect.objectContaining({ code: 'out-of-range' })))
})

describe('the proposed value', () => {
  it('is the largest that can be shown inside: 65h, since 66h with 2 % cannot', () =>
    expect(proposeCode(READ, GOAL)).toEqual({
      code: 0x65,
      expected: expect.closeTo(3.818, 3) as number,
      why: 'within',
    }))
  it('inside with its uncertainty is there, whatever more the limit would let it', () => {
    const inside = { ...GOAL, least: 3.6 }
    expect(proposeCode([...READ, { code: 0x65, value: 3.82 }], inside)).toMatchObject({
      code: 0x65,
      why: 'there',
    })
    expect(proposeCode([{ code: 0x64, value: 3.7 }], inside)).toMatchObject({ code: 0x64, why: 'there' })
    // 3.95 W with 2 % reaches 4.03 W: not inside, and not left there.
    expect(proposeCode([...READ, { code: 0x67, value: 3.95 }], inside)!.code).toBeLessThan(0x67)
  })
  it('above the limit, as far as the curve says, is a step down and no value to be written', () => {
    const p = proposeCode(
      [
        { code: 0x80, value: 9 },
        { code: 0x7c, value: 8.8 },
      ],
      GOAL,
    )!
    expect([p.why, p.expected]).toEqual(['lower', null])
  })
  it('from one reading only a careful step', () => {
    expect(proposeCode([{ code: 0x40, value: 1.2 }], GOAL)).toEqual({
      code: 0x44,
      expected: null,
      why: 'higher',
    })
    expect(proposeCode([{ code: 0x80, value: 7 }], GOAL)).toMatchObject({ code: 0x7c, why: 'lower' })
    expect(proposeCode([], GOAL)).toBeNull()
  })
  it('never expects to pass the limit beyond what was read', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 90 }), fc.integer({ min: 1, max: 10 }), (code, by) => {
        const law = (c: number) => (0.0311 * (c - 38)) ** 2
        const p = proposeCode(
          [
            { code, value: law(code) },
            { code: code + by, value: law(code + by) },
          ],
          GOAL,
        )!
        if (p.why === 'beyond' && p.code > code + by) expect(law(p.code) * 1.02).toBeLessThanOrEqual(4 + 1e-9)
      }),
    )
  })
  it('says when the menu ends', () =>
    expect(
      proposeCode(
        [
          { code: 250, value: 2 },
          { code: 255, value: 2.1 },
        ],
        GOAL,
      ),
    ).toEqual({ code: 255, expected: 2.1, why: 'end' }))
  it('reaches the best value of the simulated menu set within one step in at most four readings', () => {
    const warm = advance(healthyRig('corvid-m6', 3), 1500)
    const keyed = act(warm, { kind: 'control', controls: { mode: 'AM', keyed: true } }).state
    const read = (code: number) =>
      truthOf(advance(act(keyed, { kind: 'turn', designator: '01', position: code }).state, 0.2)).values
        .powerW!
    const best = Array.from({ length: 256 }, (_, c) => c)
      .filter(c => read(c) * 1.02 <= 4)
      .at(-1)!
    for (let start = 70; start <= 130; start += 3) {
      const readings: MenuReading[] = [{ code: start, value: read(start) }]
      for (let n = 1; n < 4; n++) {
        const next = proposeCode(readings, GOAL)!
        if (next.why === 'there') break
        readings.push({ code: next.code, value: read(next.code) })
      }
      expect([
        start,
        Math.abs(readings.at(-1)!.code - best) <= 1 || proposeCode(readings, GOAL)!.code === best,
      ]).toEqual([start, true])
    }
  })
})
