import { describe, expect, it } from 'vitest'
import { CAUSES } from './catalogue'
import { rankCauses, type ConfirmedBefore } from './rank'

const OF_POWER = CAUSES.filter(c => c.domain === 'power')
const [first, other] = [OF_POWER[0]!, OF_POWER[1]!]
const total = OF_POWER.reduce((sum, c) => sum + c.prior, 0)
/** Before anything was measured, of the share that known causes have together. */
const shares = (confirmed: ConfirmedBefore) => {
  const ranked = rankCauses(OF_POWER, [], confirmed)
  const known = ranked.filter(r => r.cause).reduce((sum, r) => sum + r.probability, 0)
  return new Map(ranked.flatMap(r => (r.cause ? [[r.cause.id, r.probability / known] as const] : [])))
}
const ofCatalogue = shares({})

describe('what was confirmed on other jobs of a model', () => {
  it('leaves the shares of the catalogue where nothing was', () => {
    for (const c of OF_POWER) expect(ofCatalogue.get(c.id)).toBeCloseTo(c.prior / total, 12)
    expect(shares({ 'a-cause-of-another-part': 50 })).toEqual(ofCatalogue)
  })
  // By hand: three confirmed against ten of the catalogue are (10 p + 3) / 13, and 10 p / 13 for the others.
  it('weighs like so many repairs beside the ten of the catalogue', () => {
    const moved = shares({ [first.id]: 3 })
    expect(moved.get(first.id)).toBeCloseTo((10 * ofCatalogue.get(first.id)! + 3) / 13, 12)
    expect(moved.get(other.id)).toBeCloseTo((10 * ofCatalogue.get(other.id)!) / 13, 12)
    expect([...moved.values()].reduce((a, b) => a + b)).toBeCloseTo(1, 12)
  })
  it('never takes more than half of what the catalogue gives a cause, however many there were', () => {
    const moved = shares({ [first.id]: 4000 })
    for (const c of OF_POWER.slice(1)) expect(moved.get(c.id)).toBeCloseTo(ofCatalogue.get(c.id)! / 2, 12)
  })
  it('is told with each cause', () => {
    const ranked = rankCauses(OF_POWER, [], { [other.id]: 2 })
    expect(ranked.filter(r => r.confirmedBefore > 0).map(r => [r.cause?.id, r.confirmedBefore])).toEqual([
      [other.id, 2],
    ])
  })
})
