import { describe, expect, it } from 'vitest'
import { balancedModulator } from './balancedModulator'

const PART = { nullAt: 0.5, floorRatio: 0.01, slope: 0.1 }
const leak = (position: number) => balancedModulator.respond(PART, { position }, null)

describe('carrier left by a balanced modulator', () => {
  it('is least where its preset stands right, and alike on both sides', () => {
    expect(leak(0.5)).toBe(0.01)
    expect(leak(0.3)).toBeCloseTo(leak(0.7), 12)
  })
  it('is imbalance and residue in squares: where both are alike, the root of two of one', () => {
    expect(leak(0.6)).toBeCloseTo(0.01 * Math.SQRT2, 12)
    expect(leak(0.4)).toBeCloseTo(0.01 * Math.SQRT2, 12)
  })
})
