import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  comesAfter,
  cycleIn,
  inOrder,
  levels,
  modelSheet,
  moveStep,
  type ModelSheet,
  type Step,
} from '../index'

const FM = modelSheet('osmund-27f')
const withStep = (id: string, change: Partial<Step>): ModelSheet => ({
  ...FM,
  procedure: FM.procedure.map(s => (s.id === id ? { ...s, ...change } : s)),
})

describe('order', () => {
  it('a ring is told step by step', () => {
    expect(cycleIn(withStep('A1.3', { needs: ['A1.5'] }).procedure)).toEqual(['A1.3', 'A1.5'])
    expect(() => inOrder(withStep('A1.3', { needs: ['A1.5'] }).procedure)).toThrowSaying(
      'A1.3, A1.5 depend on each other',
    )
  })
  it('any shuffle of steps comes back into an order in which needs come first', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...FM.procedure], { minLength: FM.procedure.length }), steps => {
        const ids = inOrder(steps).map(s => s.id)
        for (const s of steps)
          for (const before of comesAfter(s)) expect(ids.indexOf(before)).toBeLessThan(ids.indexOf(s.id))
        expect([...ids].sort()).toEqual(steps.map(s => s.id).sort())
      }),
      { numRuns: 200 },
    )
  })
  it('an order that is right stays as it was written', () =>
    expect(inOrder(FM.procedure).map(s => s.id)).toEqual(FM.procedure.map(s => s.id)))
  it('a step is moved by hand where the needs leave it open, and refused with its reason elsewhere', () => {
    const at = (id: string) => FM.procedure.findIndex(s => s.id === id)
    const moved = moveStep(FM.procedure, at('A1.13'), at('A1.7'))
    expect(Array.isArray(moved) && moved.map(s => s.id).indexOf('A1.13')).toBe(at('A1.7'))
    expect(moveStep(FM.procedure, at('A1.13'), 0)).toMatchObject({ why: 'needs-it', other: { id: 'A1.5' } })
    expect(moveStep(FM.procedure, at('A1.3'), at('A1.15'))).toMatchObject({
      why: 'is-needed',
      other: { id: 'A1.4' },
    })
  })
  it('levels are the longest way from a step that needs nothing', () => {
    const l = levels(FM.procedure)
    expect([l.get('A1.0'), l.get('A1.3'), l.get('A1.5'), l.get('A1.15')]).toEqual([0, 1, 2, 7])
  })
})
