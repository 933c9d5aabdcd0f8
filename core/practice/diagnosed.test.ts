import { describe, expect, it } from 'vitest'
import { readBy } from '../../test/fixtures/faults/readMatrix'
import { randomFrom } from '../../test/fixtures/faults/random'
import { CAUSES, diagnose } from '../diagnose'
import { RIG_FAULTS, advance, healthyRig, rigFault, truthOf, type RigState } from '../rig'
import { modelSheet } from '../sheet'
import { putFor } from './putFor'

/**
 * The simulated sets, measured as found by an ordinary bench, against the findings: two models that were made
 * apart and have to agree.
 */
function causesOf(state: RigState, seed: number): string[] {
  const sheet = modelSheet(state.designId)
  const rows = readBy(
    sheet,
    (point, quantity) => truthOf(putFor(state, point), quantity === 'adjacentDbc').values[quantity] ?? null,
    state.surroundings.supplyV,
    randomFrom(seed),
  )
  return diagnose(sheet, rows, [], () => true).domains.flatMap(d =>
    d.ranked.slice(0, 3).map(c => c.cause?.id ?? 'none'),
  )
}

it('every fault names causes of the catalogue', () => {
  for (const f of RIG_FAULTS)
    for (const id of f.causeIds) expect([f.id, CAUSES.some(c => c.id === id)]).toEqual([f.id, true])
})

describe('by readings alone the findings name it among the first three', () => {
  it.each([
    ['X03', 'osmund-40a'],
    ['X04', 'osmund-27f'],
    ['X07', 'osmund-40a'],
    ['X08', 'osmund-40a'],
    ['X09', 'larkfield-lx8'],
    ['X11', 'quillon-p5'],
    ['X12', 'larkfield-lx8'],
    ['X17', 'quillon-hb150'],
    ['X20', 'osmund-40a'],
    ['X21', 'osmund-40a'],
    ['X26', 'larkfield-lx8'],
    ['X29', 'larkfield-lx8'],
    ['X31', 'larkfield-lx8'],
    ['XN1', 'osmund-27f'],
  ])('%s on %s', (fault, id) => {
    const state = rigFault(fault).apply(advance(healthyRig(id, 12), 2400))
    const put = id === 'quillon-hb150' ? { ...state, positions: { ...state.positions, CARRIER: 1 } } : state
    expect(
      rigFault(fault).causeIds.some(c => causesOf(put, 5).includes(c)),
      causesOf(put, 5).join(', '),
    ).toBe(true)
  })
})
