import type { Adjuster, ModelSheet, Step } from '../modelSheet'
import type { FieldChange } from './amend'
import { fieldPath, fieldValue } from './field'

/** What an adjuster is in the circuit; where it sits and what is printed beside it stay. */
const IN_THE_CIRCUIT = ['name', 'role', 'moves', 'turn', 'raisedBy', 'modes', 'caution'] as const

/**
 * Corrections of a sheet that took two adjusters for each other: each is in the circuit what the other was
 * said to be, in every step and oscillator that names one of them.
 * @param step whose correction stands first: the one at which it was found
 */
export function exchanged(sheet: ModelSheet, a: Adjuster, b: Adjuster, step: Step): FieldChange[] {
  const name = (d: string) => {
    if (d === a.designator) return b.designator
    return d === b.designator ? a.designator : d
  }
  const inText = (words: string) => words.replace(/[A-Z]+\d+/g, name)
  const value = (of: Adjuster, field: string) =>
    fieldValue(sheet, fieldPath('adjuster', of.designator, field))
  const half = (of: Adjuster, other: Adjuster) =>
    IN_THE_CIRCUIT.map(field => {
      const to = value(other, field)
      return {
        line: fieldPath('adjuster', of.designator, field),
        from: value(of, field),
        to: typeof to === 'string' && field !== 'role' ? inText(to) : to,
      }
    })
  const steps = [step, ...sheet.procedure.filter(s => s.id !== step.id)].map(s => ({
    line: fieldPath('step', s.id, 'adjusters'),
    from: s.adjusters,
    to: s.adjusters.map(name),
  }))
  const oscillators = (sheet.scheme?.oscillators ?? []).map(o => ({
    line: fieldPath('oscillator', o.id, 'adjuster'),
    from: o.adjuster,
    to: o.adjuster === null ? null : name(o.adjuster),
  }))
  return [...steps, ...half(a, b), ...half(b, a), ...oscillators].filter(
    c => JSON.stringify(c.from) !== JSON.stringify(c.to),
  )
}
