import { describe, expect, it } from 'vitest'
import { depthByPep } from './depthByPep'
import { boundToStandard, expandedUncertainty } from './uncertainty'

const watts = (value: number, bound: number | null = null) => ({
  value,
  standardUncertainty: bound === null ? null : boundToStandard(bound),
})

describe('depth by PEP and carrier', () => {
  // Handbook arithmetic of AM: full modulation makes four times the carrier, 50 % makes 2.25 times.
  it.each([
    [16, 4, 1],
    [9, 4, 0.5],
    [4, 4, 0],
    [21, 4.4, 1.185],
  ])('%d W over %d W', (pepW, carrierW, depth) => {
    const { value, standardUncertainty } = depthByPep(watts(pepW), watts(carrierW))
    expect(value).toBeCloseTo(depth, 3)
    expect(standardUncertainty).toBeNull()
  })
  it('is as sure as both meters together', () => {
    const found = depthByPep(watts(27, 2.5), watts(7.2, 0.5))
    // The same by the meters at their ends.
    const corner = (pep: number, carrier: number) => Math.sqrt(pep / carrier) - 1
    expect(found.value).toBeCloseTo(corner(27, 7.2), 9)
    expect(expandedUncertainty(found)).toBeCloseTo((corner(29.5, 6.7) - corner(24.5, 7.7)) / 2, 2)
  })
  it('of one meter that nobody knows nothing is told', () =>
    expect(depthByPep(watts(27, 2.5), watts(7.2)).standardUncertainty).toBeNull())
})
