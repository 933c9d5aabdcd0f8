import { describe, expect, it } from 'vitest'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { NEW_SETTING, settingAdvice, settingScale, settingStep, type SettingGuide } from './settingGuide'

const WINDOW = { low: 3.6, high: 4, aim: 3.8 }
/** Readings at 10 a second while the value stands, each with its scatter. */
function stand(
  guide: SettingGuide,
  fromS: number,
  value: number,
  seconds = 2.5,
  scatter = 0.003,
  random = randomFrom(5),
): SettingGuide {
  let g = guide
  for (let i = 0; i < seconds * 10; i++)
    g = settingStep(
      g,
      { atS: fromS + i / 10, value: value + scatter * (random.next() - 0.5) },
      settingScale(WINDOW),
    )
  return g
}

describe('setting to a target', () => {
  it('asks for a first touch, then tells by it how far', () => {
    const first = stand(NEW_SETTING, 0, 2.8)
    expect(settingAdvice(first, WINDOW)).toMatchObject({ kind: 'first-touch', need: 'up' })
    const second = stand(first, 4, 3.3)
    expect(settingAdvice(second, WINDOW)!.ofLastTurn).toBeCloseTo(1, 1)
    expect(settingAdvice(stand(second, 8, 3.8), WINDOW)).toMatchObject({ kind: 'there' })
  })
  it('the wrong way is told to go back, and by how much', () => {
    const wrong = stand(stand(NEW_SETTING, 0, 2.8), 4, 2.6)
    expect(settingAdvice(wrong, WINDOW)!.ofLastTurn).toBeCloseTo(-6, 0)
  })
  it('a needle that moves is waited for', () => {
    let g = stand(NEW_SETTING, 0, 2.8)
    for (let i = 0; i < 20; i++)
      g = settingStep(g, { atS: 3 + i / 10, value: 2.8 + i * 0.05 }, settingScale(WINDOW))
    expect(g.rests).toHaveLength(1)
  })
  it('a needle that creeps after a turn belongs to that turn, however slowly it comes', () => {
    let g = stand(NEW_SETTING, 0, 2.8)
    for (let i = 0; i < 90; i++)
      g = settingStep(
        g,
        { atS: 3 + i / 10, value: 3.3 - 0.5 * Math.exp(-i / 10 / 1.2) },
        settingScale(WINDOW),
      )
    expect(g.rests).toHaveLength(2)
    expect(settingAdvice(g, WINDOW)!.ofLastTurn).toBeCloseTo(1, 1)
  })
  it('a turn that changed next to nothing tells nothing', () => {
    const g = stand(stand(NEW_SETTING, 0, 1), 4, 1.06)
    expect(settingAdvice(g, WINDOW)).toMatchObject({ kind: 'no-effect', need: 'up' })
  })
  it('a frequency is judged by its window, not by its megahertz', () => {
    const window = { low: 27_791_250, high: 27_791_270, aim: 27_791_260 }
    expect(settingScale(window)).toBe(200)
    let g = NEW_SETTING
    for (const [from, hz] of [
      [0, 27_791_100],
      [4, 27_791_180],
    ] as const)
      for (let i = 0; i < 25; i++) g = settingStep(g, { atS: from + i / 10, value: hz }, settingScale(window))
    expect(settingAdvice(g, window)!.ofLastTurn).toBeCloseTo(1, 1)
  })
  it('a hand that follows it on a curved control, 30 % off each time, is inside after few turns', () => {
    const counts: number[] = []
    for (let seed = 1; seed <= 300; seed++) {
      const random = randomFrom(seed)
      let position = random.within(0, 0.9)
      const gain = random.within(3, 9)
      const value = () => gain * position * (0.6 + 0.4 * position)
      let [g, at, last, turns] = [NEW_SETTING, 0, 0.08 * random.sign(), 0]
      const window = { low: gain * 0.42, high: gain * 0.48, aim: gain * 0.45 }
      for (; turns < 12; turns++) {
        for (let i = 0; i < 25; i++)
          g = settingStep(
            g,
            { atS: at + i / 10, value: value() * (1 + 0.002 * (random.next() - 0.5)) },
            settingScale(window),
          )
        at += 4
        const advice = settingAdvice(g, window)!
        if (advice.kind === 'there') break
        const step =
          advice.kind === 'turn'
            ? last * advice.ofLastTurn! * random.within(0.7, 1.3)
            : last * (advice.kind === 'no-effect' ? 2 : 1)
        const before = position
        position = Math.max(0, Math.min(1, position + step))
        last = position - before || -step
      }
      counts.push(turns)
    }
    counts.sort((a, b) => a - b)
    expect(counts[Math.floor(counts.length * 0.95)]!).toBeLessThanOrEqual(6)
  })
})
