import { describe, expect, it } from 'vitest'
import { corrected } from './correction'

const COUNT = 64
const angle = (n: number) => (2 * Math.PI * 5 * n) / COUNT

describe('samples put right', () => {
  it('of a receiver with offsets, unequal halves and a crooked angle are a circle again', () => {
    const wrong = { dcI: 0.05, dcQ: -0.03, gain: 1.1, phaseRad: 0.08 }
    const i = Float32Array.from({ length: COUNT }, (_, n) => Math.cos(angle(n)) + wrong.dcI)
    const q = Float32Array.from(
      { length: COUNT },
      (_, n) => wrong.gain * Math.sin(angle(n) + wrong.phaseRad) + wrong.dcQ,
    )
    const right = corrected({ i, q }, wrong, false)
    for (let n = 0; n < COUNT; n++) {
      expect(right.i[n]).toBeCloseTo(Math.cos(angle(n)), 5)
      expect(right.q[n]).toBeCloseTo(Math.sin(angle(n)), 5)
    }
  })
  it('of one channel lose their offset only', () => {
    const block = { i: Float32Array.of(1, 2), q: new Float32Array(0) }
    expect([...corrected(block, { dcI: 0.5, dcQ: 9, gain: 2, phaseRad: 1 }, true).i]).toEqual([0.5, 1.5])
  })
})
