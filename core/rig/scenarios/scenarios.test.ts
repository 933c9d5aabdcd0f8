import { describe, expect, it } from 'vitest'
import { RIG_DESIGNS, RIG_FAULTS, advance, rigFault } from '../index'
import { COMPLAINTS } from './complaints'
import { PREPARED, deliver, preparedScenario, scenarioOf, surpriseScenario } from './scenarios'

describe('cases', () => {
  it('every fault has the words of an owner, and none of them names it', () => {
    for (const f of RIG_FAULTS) {
      expect(COMPLAINTS[f.id], f.id).toBeTruthy()
      expect(COMPLAINTS[f.id]!.toLowerCase()).not.toContain(f.name.toLowerCase().slice(0, 14))
    }
  })
  it('every set has a prepared one, and its faults are there when it is delivered', () => {
    expect(PREPARED.map(p => p.designId).sort()).toEqual(RIG_DESIGNS.map(d => d.id).sort())
    for (const { designId } of PREPARED) {
      const s = preparedScenario(designId)
      const state = advance(deliver(s), 1500)
      for (const id of s.faultIds) expect([id, rigFault(id).cured(state)]).toEqual([id, false])
    }
  })
  it('drawn ones repeat for a seed and keep to their difficulty', () => {
    const seen = new Set<string>()
    for (let seed = 1; seed <= 120; seed++) {
      for (const difficulty of [1, 2, 3] as const) {
        const s = surpriseScenario(seed, difficulty, null)
        expect(surpriseScenario(seed, difficulty, null)).toEqual(s)
        for (const id of s.faultIds) expect(rigFault(id).difficulty).toBeLessThanOrEqual(difficulty)
        expect(deliver(s)).toEqual(deliver(s))
        s.faultIds.forEach(f => seen.add(f))
      }
    }
    expect(seen.size).toBeGreaterThan(25)
  })
  it('a fault that a set cannot have is refused', () => {
    expect(() => scenarioOf('quillon-p5', ['X17'], 1)).toThrow(
      expect.objectContaining({ code: 'unknown-cause' }),
    )
    expect(() => preparedScenario('nothing')).toThrow(expect.objectContaining({ code: 'unknown-sheet' }))
  })
})
