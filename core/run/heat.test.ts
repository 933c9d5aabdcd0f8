import { describe, expect, it } from 'vitest'
import { COLD, NOT_KEYED, heatStep, heatView, keyDownStep, keyDownView, restOf } from './index'

describe('the heat of the final', () => {
  const after = (keyedS: number, restS: number) =>
    heatStep(
      heatStep({ ...COLD, atMs: 1 }, true, 1 + keyedS * 1000, 'fm-mobile'),
      false,
      1 + (keyedS + restS) * 1000,
      'fm-mobile',
    )
  it('one full key-down from cold is what it is told against', () =>
    expect(heatView(after(20, 0), 20, 'fm-mobile').ofLimit).toBeCloseTo(1, 9))
  it('falls by the same law: so cool after what it says', () => {
    const { coolInS } = heatView(after(20, 0), 20, 'fm-mobile')
    expect(heatView(after(20, coolInS), 20, 'fm-mobile').ofLimit).toBeCloseTo(0.4, 9)
    expect(heatView(after(20, coolInS), 20, 'fm-mobile').coolInS).toBe(0)
  })
  it('short bursts with short rests add up', () => {
    let heat = { ...COLD, atMs: 1 }
    let now = 1
    for (let i = 0; i < 10; i++) {
      heat = heatStep(heat, true, (now += 10_000), 'fm-mobile')
      heat = heatStep(heat, false, (now += 5000), 'fm-mobile')
    }
    expect(heatView(heat, 20, 'fm-mobile').ofLimit).toBeGreaterThan(1.2)
  })
})

describe('rest', () => {
  const clock = (keyedMs: number) => keyDownStep(keyDownStep(NOT_KEYED, true, 1000), false, 1000 + keyedMs)
  it('twice as long as keyed; valves and small finals 30 s at least; a touch is no key-down', () => {
    expect(keyDownView(clock(8000), 20, 9000, restOf('fm-mobile'))).toMatchObject({
      phase: 'rest',
      seconds: 16,
    })
    expect(keyDownView(clock(8000), 20, 9000, restOf('hybrid-valve')).seconds).toBe(30)
    expect(keyDownView(clock(20_000), 20, 21_000, restOf('hybrid-valve')).seconds).toBe(40)
    expect(keyDownView(clock(500), 20, 1500, restOf('cw-kit')).seconds).toBe(1)
  })
})
