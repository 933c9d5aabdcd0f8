import { describe, expect, it } from 'vitest'
import type { RigState } from '../index'
import { dB, does, healthy, faulty, at, look, value, TONE } from '../../../test/fixtures/faults/simulatedSet'

/**
 * One test per symptom of the table of faults (bench facts 7.8, invented sets, computed from the formulas
 * where one applies).
 */
describe('X09 shorted regulator', () => {
  const s = faulty('X09')
  it('(a) AM and FM 18 to 22 W', () =>
    (['AM', 'FM'] as const).forEach(mode => {
      expect(value(s, { mode, keyed: true }, 'powerW')).toBeGreaterThan(18)
      expect(value(s, { mode, keyed: true }, 'powerW')).toBeLessThan(22)
    }))
  it('(b) its control is dead', () =>
    expect(
      Math.abs(
        dB(
          value(does(s, at('VR13', 1)), { mode: 'AM', keyed: true }, 'powerW') /
            value(does(s, at('VR13', 0)), { mode: 'AM', keyed: true }, 'powerW'),
        ),
      ),
    ).toBeLessThan(0.1))
  it('(c) no depth', () =>
    expect(value(s, { mode: 'AM', keyed: true, tones: TONE }, 'depthPositiveRatio') ?? 0).toBeLessThan(0.05))
  it('(d) SSB 20 W', () =>
    expect(
      Math.abs(dB(value(s, { mode: 'USB', keyed: true, tones: [[1000, 0.03]] }, 'pepW') / 20)),
    ).toBeLessThan(0.3))
})

describe('X10 shorted final', () => {
  const limited = does(faulty('X10'), { kind: 'surroundings', surroundings: { limitA: 1.5 } })
  it('(a) the limit at idle', () => expect(value(limited, {}, 'supplyA')).toBeCloseTo(1.5, 3))
  it('(b) voltage collapses', () => expect(value(limited, {}, 'supplyV')).toBeLessThan(2))
  it('(c) taken out, the idle current is normal', () =>
    expect(value(does(limited, { kind: 'remove', group: 'final' }), {}, 'supplyA')).toBeCloseTo(
      value(healthy('osmund-27f'), {}, 'supplyA'),
      3,
    ))
})

describe('X11 gate at 5 V', () => {
  const s = faulty('X11')
  const idle = (state: RigState) => value(state, { keyed: true, driveOff: true }, 'supplyA')
  it('(a) idle more than five times healthy', () => {
    expect(value(s, { keyed: true, driveOff: true }, 'gateV')).toBeCloseTo(5, 1)
    expect(idle(s)).toBeGreaterThan(5 * idle(healthy('quillon-p5')))
  })
  it('(b) power about normal', () =>
    expect(
      Math.abs(
        dB(value(s, { keyed: true }, 'powerW') / value(healthy('quillon-p5'), { keyed: true }, 'powerW')),
      ),
    ).toBeLessThan(1))
  it('(c) more than 100 K in 10 s', () =>
    expect(look(s, { keyed: true, driveOff: true, forS: 10 }).junctionC).toBeGreaterThan(125))
})

describe('X12 bias clamp missing', () => {
  const s = faulty('X12')
  const h = does(healthy('larkfield-lx8'), at('VR12', 1))
  it('(a) idle 0', () => expect(value(s, { mode: 'USB', keyed: true, driveOff: true }, 'stageIdleA')).toBe(0))
  it('(b) SSB PEP 3 dB down or more', () =>
    expect(
      dB(
        value(h, { mode: 'USB', keyed: true, tones: TONE }, 'pepW') /
          value(s, { mode: 'USB', keyed: true, tones: TONE }, 'pepW'),
      ),
    ).toBeGreaterThan(3))
  it('(c) small tones distorted', () => {
    // about a third of full drive for both
    const small = [
      [700, 0.0025],
      [1900, 0.0025],
    ] as const
    expect(value(s, { mode: 'USB', keyed: true, tones: small }, 'imd3Db')).toBeLessThan(15)
    expect(value(h, { mode: 'USB', keyed: true, tones: small }, 'imd3Db')).toBeGreaterThan(25)
  })
  it('(d) AM and FM 1 to 3 dB down', () =>
    (['AM', 'FM'] as const).forEach(mode => {
      const down = dB(value(h, { mode, keyed: true }, 'powerW') / value(s, { mode, keyed: true }, 'powerW'))
      expect(down).toBeGreaterThan(1)
      expect(down).toBeLessThan(3)
    }))
})

describe('X13 counterfeit final', () => {
  const s = faulty('X13')
  const h = healthy('osmund-27f')
  it('(a) DC gain at or above the range', () => expect(look(s, {}).dcGain).toBeGreaterThanOrEqual(180))
  it('(b) a quarter at most, falling a fifth in 5 s', () => {
    const first = value(s, { keyed: true, forS: 0.1 }, 'powerW')
    expect(first).toBeLessThan(0.25 * value(h, { keyed: true }, 'powerW'))
    expect(value(s, { keyed: true, forS: 5 }, 'powerW')).toBeLessThan(0.8 * first)
  })
  it('(c) over 80 deg C in 5 s', () =>
    expect(look(s, { keyed: true, forS: 5 }).junctionC).toBeGreaterThan(80))
  it('(d) current normal or higher', () =>
    expect(value(s, { keyed: true }, 'supplyA')).toBeGreaterThan(0.95 * value(h, { keyed: true }, 'supplyA')))
})

describe('X16 wrong driver', () => {
  const s = faulty('X16')
  const h = healthy('osmund-27f')
  it('(a) output below a tenth', () =>
    expect(value(s, { keyed: true }, 'powerW')).toBeLessThan(0.1 * value(h, { keyed: true }, 'powerW')))
  it('(b) driver hot, its current high', () => {
    expect(look(s, { keyed: true, forS: 10 }).driverC).toBeGreaterThan(
      look(h, { keyed: true, forS: 10 }).driverC + 50,
    )
    expect(s.parts.driver.currentA).toBeGreaterThan(3 * h.parts.driver.currentA)
  })
  it('(c) resistors out of value', () =>
    expect(look(s, {}).testPoints['driver emitter resistor']!.value).toBeGreaterThan(
      1.5 * look(h, {}).testPoints['driver emitter resistor']!.value!,
    ))
})

describe('X25 polarity diode', () => {
  it('(a) nought ohm both ways, (b) the supply goes into its limit at connection', () => {
    const s = does(
      faulty('X25'),
      { kind: 'control', controls: { powerOn: false } },
      { kind: 'surroundings', surroundings: { limitA: 3 } },
    )
    expect(look(s, {}).testPoints['supply input, forward']!.value).toBe(0)
    expect(look(s, {}).testPoints['supply input, reversed']!.value).toBe(0)
    expect(value(s, {}, 'supplyA')).toBeCloseTo(3, 3)
  })
})
