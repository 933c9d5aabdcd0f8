import { describe, expect, it } from 'vitest'
import {
  adjusterReferences,
  checkSheet,
  modelSheet,
  stepReferences,
  withAdjusterRenamed,
  withStepRenamed,
  withoutAdjuster,
  withoutStep,
} from '../index'

const FM = modelSheet('osmund-27f')

describe('renaming and removing', () => {
  it('a designator carries through steps, oscillators and rows', () => {
    const renamed = withAdjusterRenamed(FM, 'CT2', 'TC7')
    expect(checkSheet(renamed)).toEqual([])
    expect(JSON.stringify(renamed.procedure.map(s => s.adjusters))).not.toContain('CT2')
    expect(renamed.scheme!.oscillators.map(o => o.adjuster)).toContain('TC7')
  })
  it('a step carries through needs, skips and targets', () => {
    const renamed = withStepRenamed(FM, 'A1.10', 'P10')
    expect(checkSheet(renamed)).toEqual([])
    expect(JSON.stringify(renamed.procedure)).not.toContain('"A1.10"')
  })
  it('what refers to it is named, and taken out with it', () => {
    expect(adjusterReferences(FM, 'CT2')).toEqual([
      { at: 'step', name: 'A1.5' },
      { at: 'oscillator', name: expect.any(String) as string },
    ])
    expect(checkSheet(withoutAdjuster(FM, 'CT2'))).toEqual([])
    expect(stepReferences(FM, 'A1.10').map(r => r.name)).toContain('A1.15')
    expect(checkSheet(withoutStep(FM, 'A1.10'))).toEqual([])
  })
})
