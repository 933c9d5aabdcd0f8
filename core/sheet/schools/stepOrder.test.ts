import { describe, expect, it } from 'vitest'
import { SHEETS, applySchools, modelSheet, type Step } from '../index'
import { inOrder } from './stepOrder'

const ids = (steps: readonly Step[]) => steps.map(s => s.id)
/** Steps that stand before one that they need. */
const tooEarly = (steps: readonly Step[]) =>
  steps.flatMap((s, i) =>
    [...s.needs, ...(s.skipIf === null ? [] : [s.skipIf])].filter(
      id => steps.findIndex(o => o.id === id) > i,
    ),
  )

describe('another order of the steps', () => {
  it.each(['b', 'c'])('keeps every step of every sheet, and none before one that it needs (%s)', option => {
    for (const { procedure, id } of SHEETS) {
      const sorted = inOrder(procedure, option)
      expect([...ids(sorted)].sort(), id).toEqual([...ids(procedure)].sort())
      expect(tooEarly(sorted), id).toEqual([])
    }
  })
  it('puts the receiver last as far as nothing stands on it', () => {
    const steps = ids(applySchools(modelSheet('osmund-40a'), { S29: 'b' }).procedure)
    expect(steps).not.toEqual(ids(modelSheet('osmund-40a').procedure))
  })
  it('leaves before a step what can make it unnecessary, and what its reading is told from', () => {
    const { procedure } = modelSheet('osmund-40a')
    const of = (quantity: string) =>
      procedure.find(s => s.points.some(p => p.wants[0]?.quantity === quantity))!
    const receiver = { ...of('sinadDb'), needs: [] }
    const power = { ...of('powerW'), needs: [] }
    expect(ids(inOrder([receiver, power], 'b'))).toEqual([power.id, receiver.id])
    const skipped = { ...power, skipIf: receiver.id }
    expect(ids(inOrder([receiver, skipped], 'b'))).toEqual([receiver.id, power.id])
    const target = {
      kind: 'like-reading',
      stepId: receiver.id,
      quantity: 'powerW',
      lowRatio: 0.9,
      highRatio: 1.1,
    }
    const told = { ...power, points: power.points.map(p => ({ ...p, wants: [{ ...p.wants[0]!, target }] })) }
    expect(ids(inOrder([receiver, told as Step], 'b'))).toEqual([receiver.id, power.id])
  })
  it('is none where nobody chose one, and leaves a sheet that runs in a circle as it is', () => {
    const { procedure } = modelSheet('osmund-27f')
    expect(inOrder(procedure, undefined)).toBe(procedure)
    expect(inOrder(procedure, 's')).toBe(procedure)
    const [a, b] = procedure
    const circle = [
      { ...a!, needs: [b!.id] },
      { ...b!, needs: [a!.id] },
    ]
    expect(inOrder(circle, 'b')).toBe(circle)
  })
})
