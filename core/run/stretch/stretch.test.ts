import { describe, expect, it } from 'vitest'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { stretchNames, stretches, currentStretch, type Circumstances, type WatchedSample } from './index'

const AT: Circumstances = {
  mode: 'AM',
  channel: 139,
  lowPower: false,
  toneHz: null,
  toneV: null,
  inputV: null,
  coverage: 'standard',
  setting: '',
  also: null,
  keyed: true,
  turns: 0,
}
const names = (
  change: Partial<Circumstances>,
  quantity: 'carrierHz' | 'referenceHz' | 'powerW' = 'carrierHz',
  instrument = 'Counter',
) => stretchNames(quantity, { ...AT, ...change }, instrument)
const same = (change: Partial<Circumstances>, quantity?: 'carrierHz' | 'referenceHz' | 'powerW') =>
  names({}, quantity).stretch === names(change, quantity).stretch

describe('a new stretch begins', () => {
  it.each([
    [{ keyed: false }],
    [{ mode: 'USB' as const }],
    [{ channel: 140 }],
    [{ lowPower: true }],
    [{ coverage: 'expanded' as const }],
    [{ toneHz: 1000 }],
    [{ toneV: 0.03 }],
    [{ inputV: 1e-4 }],
    [{ setting: 'no audio' }],
    [{ turns: 1 }],
    [{ also: 'meter in the lead of final 2' }],
  ])('with %j', change => expect(same(change)).toBe(false))
  it('with another instrument', () =>
    expect(names({}).stretch).not.toBe(names({}, 'carrierHz', 'Test set').stretch))
  it('not for the reference with the key, the mode or the channel, but with a turn', () => {
    expect(same({ keyed: false, mode: 'USB', channel: 1 }, 'referenceHz')).toBe(true)
    expect(same({ turns: 1 }, 'referenceHz')).toBe(false)
  })
  it('a key let go and pressed again is alike', () =>
    expect(names({ keyed: false }).alike).toBe(names({}).alike))
})

const gauss = (r: ReturnType<typeof randomFrom>) =>
  Math.sqrt(-2 * Math.log(1 - r.next())) * Math.cos(2 * Math.PI * r.next())
function samples(
  hz: (s: number) => number,
  untilS: number,
  { noise = 0.3, seed = 1, everyS = 2 } = {},
): WatchedSample[] {
  const r = randomFrom(seed)
  return Array.from({ length: Math.floor(untilS / everyS) }, (_, i) => ({
    atMs: i * everyS * 1000,
    value: Math.round(27_185_000 + hz(i * everyS) + noise * gauss(r)),
    stretch: 'a',
    alike: 'a',
  }))
}

describe('a turn that nobody said', () => {
  it.each([5, 20, 63.9, 526, -30])('of %d Hz begins a new stretch, noise and drift do not', step => {
    for (let seed = 1; seed <= 20; seed++) {
      const drifting = (s: number) => 120 * Math.exp(-s / 400)
      expect(stretches(samples(drifting, 120, { seed }), 'carrierHz')).toHaveLength(1)
      const cut = stretches(
        samples(s => drifting(s) + (s >= 60 ? step : 0), 120, { seed }),
        'carrierHz',
      )
      expect(cut.length).toBe(2)
      expect(cut[1]!.samples[0]!.atMs).toBe(60_000)
    }
  })
  it('a display that stood still for long may change its last digit', () => {
    const still = samples(() => 0, 60, { noise: 0 })
    const flickers = still.map((s, i) => (i === 20 ? { ...s, value: s.value - 1 } : s))
    expect(stretches(flickers, 'carrierHz')).toHaveLength(1)
  })
  it('the first readings after a change are their own', () => {
    const before = samples(() => 0, 20)
    const after = samples(() => 0, 6).map(s => ({ ...s, atMs: s.atMs + 20_000, stretch: 'b' }))
    expect(currentStretch([...before, ...after], 'carrierHz')).toHaveLength(3)
    expect(currentStretch([], 'carrierHz')).toEqual([])
  })
})
