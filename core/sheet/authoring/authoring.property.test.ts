import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  SHEETS,
  amended,
  checkSheet,
  compareSheets,
  inOrder,
  fieldPath,
  fieldValue,
  moveStep,
  type FieldChange,
  type ModelSheet,
} from '../index'

const arbSheet = fc.constantFrom(...SHEETS)
const TEXT_FIELDS = ['where', 'turn', 'tool', 'moves', 'name'] as const
const arbText = fc.string({ minLength: 1, maxLength: 40 }).filter(s => s.trim() !== '')

/** A correction of some line of a sheet, with what stood there. */
const arbChange = (sheet: ModelSheet): fc.Arbitrary<FieldChange> =>
  fc.oneof(
    fc
      .tuple(
        fc.constantFrom(...sheet.adjusters.map(a => a.designator)),
        fc.constantFrom(...TEXT_FIELDS),
        arbText,
      )
      .map(([id, field, to]) => ({ line: fieldPath('adjuster', id, field), from: null, to })),
    fc
      .tuple(
        fc.constantFrom(...sheet.procedure.map(s => s.id)),
        fc.constantFrom('title', 'instruction', 'why'),
        arbText,
      )
      .map(([id, field, to]) => ({ line: fieldPath('step', id, field), from: null, to })),
    fc
      .tuple(
        fc.constantFrom(...sheet.procedure.map(s => s.id)),
        fc.subarray(
          sheet.adjusters.map(a => a.designator),
          { maxLength: Math.min(4, sheet.adjusters.length) },
        ),
      )
      .map(([id, to]) => ({ line: fieldPath('step', id, 'adjusters'), from: null, to })),
    fc
      .tuple(
        fc.constantFrom(...sheet.adjusters.map(a => a.designator)),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
      )
      .map(([id, x, y]) => ({ line: fieldPath('adjuster', id, 'board'), from: null, to: { x, y } })),
  )
const arbWithChanges = arbSheet.chain(sheet =>
  fc.tuple(fc.constant(sheet), fc.array(arbChange(sheet), { minLength: 1, maxLength: 8 })),
)

describe('any corrections of any sheet', () => {
  it('can be undone line by line, the last first: the sheet is what it was', () => {
    fc.assert(
      fc.property(arbWithChanges, ([sheet, changes]) => {
        const undo: FieldChange[] = []
        let now = sheet
        for (const c of changes) {
          undo.unshift({ line: c.line, from: c.to, to: fieldValue(now, c.line) })
          now = amended(now, [c])
        }
        expect(compareSheets(sheet, amended(now, undo))).toEqual([])
      }),
      { numRuns: 150 },
    )
  })
  it('show up where they were made and nowhere else, and leave the sheet whole', () => {
    fc.assert(
      fc.property(arbWithChanges, ([sheet, changes]) => {
        const after = amended(sheet, changes)
        const touched = new Set(changes.map(c => c.line.split('/')[1]))
        expect(compareSheets(sheet, after).every(d => touched.has(d.name))).toBe(true)
        expect(checkSheet(after)).toEqual([])
      }),
      { numRuns: 150 },
    )
  })
})

describe('any move of any step', () => {
  it('either keeps the sheet whole, or is refused and would have broken it', () => {
    fc.assert(
      fc.property(arbSheet, fc.nat(), fc.nat(), (sheet, a, b) => {
        const steps = sheet.procedure
        const [from, to] = [a % steps.length, b % steps.length]
        const moved = moveStep(steps, from, to)
        const byForce = steps.filter((_, i) => i !== from)
        byForce.splice(to, 0, steps[from]!)
        const whole = checkSheet({ ...sheet, procedure: byForce }).length === 0
        expect('why' in moved).toBe(!whole)
        if (!('why' in moved)) expect(inOrder(moved).map(s => s.id)).toEqual(moved.map(s => s.id))
      }),
      { numRuns: 400 },
    )
  })
})
