import { describe, expect, it } from 'vitest'
import { shown, trialNoted } from '../../test/fixtures/trials'
import { ruleSet } from '../rules'
import { neighbours } from './neighbours'

const EU = ruleSet('R-EU')
const at = (carrierW: number, dbc: number, end?: 'at-most') =>
  neighbours(
    shown(
      trialNoted('carrier', { powerW: carrierW }),
      trialNoted('tone', { adjacentDbc: { value: dbc, bound: 1, ...(end ? { end } : {}) } }),
    ).last,
    EU,
  )

describe('neighbours of a trial in watts', () => {
  it('are so many dB over the limit of the rule set (worked: -29 dBc of 3.6 W is +6.6 dBm)', () => {
    const [small] = at(3.6, -29)
    expect(small!.level.verdict).toBe('above')
    expect(small!.level.dbm).toBeCloseTo(6.56, 2)
    expect(small!.level.overDb).toBeCloseTo(23.55, 2)
    expect(at(24, -21)[0]!.level.overDb).toBeCloseTo(39.8, 1)
  })
  it('cannot be told over the limit by a line that is at most so strong', () => {
    expect(at(3.6, -29, 'at-most')[0]!.level.verdict).not.toBe('above')
    expect(at(3.6, -70, 'at-most')[0]!.level.verdict).toBe('inside')
  })
  it('are not told where the rule set has no such limit, or no carrier was read', () => {
    const tone = trialNoted('tone', { adjacentDbc: -29 })
    expect(neighbours(shown(trialNoted('carrier', { powerW: 4 }), tone).last, ruleSet('R-US'))).toEqual([])
    expect(neighbours(shown(tone).last, EU)).toEqual([])
  })
})
