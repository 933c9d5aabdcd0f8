import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SHEETS } from '../sheet'
import {
  RIG_DESIGNS,
  RIG_FAULTS,
  act,
  advance,
  healthyRig,
  rigDesign,
  rigFault,
  truthOf,
  type RigAction,
  type RigState,
  type RigTruth,
} from './index'

const IDS = RIG_DESIGNS.map(d => d.id)
const keyed = (s: RigState, tones: readonly (readonly [number, number])[] = []) =>
  act(act(s, { kind: 'control', controls: { keyed: true } }).state, {
    kind: 'stimulus',
    stimulus: { tones: tones.map(([hz, v]) => ({ hz, v })) },
  }).state
const numbersOf = (t: RigTruth) =>
  [
    ...Object.values(t.values),
    ...Object.values(t.testPoints).map(p => p.value),
    ...Object.values(t.energy.heatW),
    t.energy.dcW,
    t.energy.rfW,
    t.junctionC,
    t.carrierW,
  ].filter((v): v is number => v !== null && v !== undefined)

describe('designs', () => {
  it.each(IDS)('%s has the adjusters of its sheet, and no others', id => {
    const sheet = SHEETS.find(s => s.id === id)!
    expect(Object.keys(rigDesign(id).adjusters).sort()).toEqual(sheet.adjusters.map(a => a.designator).sort())
    expect(rigDesign(id).planId).toBe(sheet.planId)
  })
  it('what there is not is named', () => {
    expect(() => healthyRig('nothing', 1)).toThrow(expect.objectContaining({ code: 'unknown-sheet' }))
    expect(() => rigFault('X99')).toThrow(expect.objectContaining({ code: 'unknown-cause' }))
  })
  it.each(['osmund-27f', 'osmund-40a', 'larkfield-lx8', 'larkfield-lx8m', 'corvid-m6'])(
    '%s, healthy, draws and gives what its kind does (common practice)',
    id => {
      const s = advance(healthyRig(id, 2), 1500)
      const rx = truthOf(s).values
      const tx = truthOf(advance(keyed(s), 0.5)).values
      expect(rx.supplyA).toBeGreaterThan(0.2)
      expect(rx.supplyA).toBeLessThan(0.7)
      expect(tx.supplyA).toBeGreaterThan(0.9)
      expect(tx.supplyA).toBeLessThan(2.2)
      expect(tx.powerW).toBeGreaterThan(3.4)
      expect(tx.powerW).toBeLessThan(4.1)
    },
  )
})

describe('energy', () => {
  it.each(IDS)('%s: what goes in comes out as RF and heat', id => {
    for (const mode of rigDesign(id).modes) {
      for (const tones of [
        [],
        [[1000, 0.03]],
        [
          [700, 0.015],
          [1900, 0.015],
        ],
      ] as const) {
        let s = act(advance(healthyRig(id, 3), 900), { kind: 'control', controls: { mode } }).state
        if (id === 'quillon-hb150') s = act(s, { kind: 'turn', designator: 'CARRIER', position: 0.7 }).state
        const { dcW, rfW, heatW } = truthOf(advance(keyed(advance(s, 5), tones), 0.5)).energy
        const out = rfW + Object.values(heatW).reduce((a, b) => a + b, 0)
        expect([mode, Math.abs(out - dcW) < 1e-6 * dcW + 1e-9]).toEqual([mode, true])
        for (const [part, w] of Object.entries(heatW))
          expect([mode, part, w >= -1e-9]).toEqual([mode, part, true])
      }
    }
  })
})

describe('whatever is turned', () => {
  const arbitraryTurn = (id: string) =>
    fc.constantFrom(...Object.keys(rigDesign(id).adjusters)).chain(designator =>
      fc.record({
        kind: fc.constant('turn' as const),
        designator: fc.constant(designator),
        position: fc.double({ min: -300, max: 30_000, noNaN: true }),
        forced: fc.boolean(),
      }),
    )
  const arbitraryControl = (id: string) =>
    fc.record({
      kind: fc.constant('control' as const),
      controls: fc.record(
        {
          mode: fc.constantFrom(...rigDesign(id).modes),
          keyed: fc.boolean(),
          lowPower: fc.boolean(),
          coverage: fc.constantFrom('standard' as const, 'expanded' as const),
          powerOn: fc.boolean(),
          driveOff: fc.boolean(),
          micGain: fc.double({ min: 0, max: 1, noNaN: true }),
        },
        { requiredKeys: [] },
      ),
    })
  const arbitrarySurroundings = fc.record({
    kind: fc.constant('surroundings' as const),
    surroundings: fc.record(
      {
        supplyV: fc.double({ min: 0, max: 300, noNaN: true }),
        limitA: fc.double({ min: 0.1, max: 60, noNaN: true }),
        leadOhm: fc.double({ min: 0, max: 0.3, noNaN: true }),
        humidity: fc.double({ min: 0, max: 1, noNaN: true }),
      },
      { requiredKeys: [] },
    ),
  })
  it.each(IDS)('%s gives no number that is none and no power below nothing', id => {
    const faults = RIG_FAULTS.filter(f => f.designIds.includes(id))
    fc.assert(
      fc.property(
        fc.option(fc.constantFrom(...faults)),
        fc.array(fc.oneof(arbitraryTurn(id), arbitraryControl(id), arbitrarySurroundings), { maxLength: 12 }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (fault, actions, waitS, toneV) => {
          let s: RigState = healthyRig(id, 9)
          if (fault) s = fault.apply(s)
          s = act(s, { kind: 'stimulus', stimulus: { tones: [{ hz: 1000, v: toneV }], inputV: 1e-6 } }).state
          for (const a of actions) s = advance(act(s, a as RigAction).state, waitS / 12)
          const t = truthOf(s, true)
          for (const v of numbersOf(t)) expect(Number.isNaN(v)).toBe(false)
          for (const q of [
            'powerW',
            'pepW',
            'supplyA',
            'supplyV',
            'plateA',
            'panelPowerW',
            'depthNegativeRatio',
            'deviationPositiveHz',
          ] as const)
            expect(t.values[q] ?? 0).toBeGreaterThanOrEqual(q === 'deviationPositiveHz' ? -3 : 0)
          expect(t.energy.rfW).toBeLessThanOrEqual(t.energy.dcW + 1e-6)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('a carrier too small for a number is none', () => {
    const s = act(keyed(healthyRig('osmund-40a', 9)), {
      kind: 'turn',
      designator: 'RV4',
      position: 5e-324,
    }).state
    for (const v of numbersOf(truthOf(advance(s, 0.3), true))) expect(Number.isNaN(v)).toBe(false)
  })
})

describe('time', () => {
  const play = (seed: number) => {
    let s = rigFault('X13').apply(healthyRig('osmund-27f', seed))
    const seen: (number | null)[] = []
    for (let i = 0; i < 40; i++) {
      if (i === 5) s = keyed(s)
      s = advance(s, 0.3)
      const { values } = truthOf(s)
      seen.push(values.powerW ?? null, values.carrierHz ?? null, values.supplyA ?? null)
    }
    return seen
  }
  it('repeats exactly for a seed, and differs for another', () => {
    expect(play(5)).toEqual(play(5))
    expect(play(5)).not.toEqual(play(6))
  })
  it('one long wait is many short ones', () => {
    const once = advance(healthyRig('larkfield-lx8', 1), 600)
    let many = healthyRig('larkfield-lx8', 1)
    for (let i = 0; i < 60; i++) many = advance(many, 10)
    expect(truthOf(many).testPoints['reference pin']!.value).toBeCloseTo(
      truthOf(once).testPoints['reference pin']!.value!,
      6,
    )
  })
  it('a set that was off for a moment is still warm; off for long it is cold', () => {
    const off = (s: RigState, forS: number) =>
      act(advance(act(s, { kind: 'control', controls: { powerOn: false } }).state, forS), {
        kind: 'control',
        controls: { powerOn: true },
      }).state
    const warm = advance(healthyRig('osmund-27f', 1), 1800)
    const referenceHz = (s: RigState) => truthOf(s).values.referenceHz!
    expect(Math.abs(referenceHz(off(warm, 10)) - referenceHz(warm))).toBeLessThan(0.5)
    expect(Math.abs(referenceHz(off(warm, 7200)) - referenceHz(warm))).toBeGreaterThan(10)
    expect(truthOf(off(warm, 10)).values.onTimeS).toBe(0)
  })
})

describe('hands', () => {
  const s = healthyRig('osmund-27f', 1)
  it.each<[RigAction, string]>([
    [{ kind: 'control', controls: { channel: 41 } }, 'unknown-channel'],
    [{ kind: 'turn', designator: 'CT9', position: 0.5 }, 'unknown-adjuster'],
    [{ kind: 'turn', designator: 'CT1', position: Number.NaN }, 'out-of-range'],
    [{ kind: 'surroundings', surroundings: { supplyV: -1 } }, 'out-of-range'],
    [{ kind: 'control', controls: { mode: 'USB' } }, 'out-of-range'],
    [{ kind: 'replace', group: 'valves' }, 'unknown-item'],
    [{ kind: 'soften', designator: 'RV1' }, 'unknown-adjuster'],
    [{ kind: 'remove', group: 'audio' }, 'unknown-item'],
  ])('%j is refused', (action, code) => {
    expect(() => act(s, action)).toThrow(expect.objectContaining({ code }))
  })
  it('menu values are whole, inside their range, and kept apart for each country state', () => {
    const m6 = healthyRig('corvid-m6', 1)
    const changed = act(act(m6, { kind: 'turn', designator: '01', position: 999.4 }).state, {
      kind: 'control',
      controls: { coverage: 'expanded' },
    }).state
    expect(changed.positions['01']).toBe(255)
    const power = (state: RigState) => truthOf(advance(keyed(state), 1)).values.powerW!
    expect(power(advance(changed, 2))).toBeLessThan(4)
    expect(
      power(advance(act(changed, { kind: 'control', controls: { coverage: 'standard' } }).state, 2)),
    ).toBeGreaterThan(15)
  })
  it('an unlocked set does not transmit', () => {
    const warm = advance(s, 600)
    const stepped = act(act(warm, { kind: 'control', controls: { channel: 40 } }).state, {
      kind: 'control',
      controls: { keyed: true },
    }).state
    expect(truthOf(advance(stepped, 0.02)).values).toMatchObject({ powerW: 0, carrierHz: null })
    expect(truthOf(advance(stepped, 1)).values.powerW).toBeGreaterThan(3)
  })
  it('a forgotten key with a gate at 5 V costs the device, and the set says why', () => {
    const dead = advance(keyed(rigFault('X11').apply(healthyRig('quillon-p5', 1))), 30)
    expect(dead.damage).toMatchObject([{ what: 'final' }])
    expect(truthOf(dead).values.powerW).toBe(0)
    expect(
      truthOf(advance(act(dead, { kind: 'replace', group: 'final' }).state, 200)).junctionC,
    ).toBeLessThan(400)
  })
})

describe('every fault', () => {
  it.each(RIG_FAULTS.flatMap(f => f.designIds.map(id => [f.id, id] as const)))(
    '%s on %s is there when applied and not in a healthy set',
    (fault, id) => {
      const healthy = advance(healthyRig(id, 4), 1500)
      expect(rigFault(fault).cured(healthy)).toBe(true)
      expect(rigFault(fault).cured(rigFault(fault).apply(advance(healthyRig(id, 4), 60)))).toBe(false)
    },
  )
})
