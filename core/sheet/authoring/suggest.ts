import { adjusterOf } from '../lookup'
import type { Adjuster, ModelSheet, Step } from '../modelSheet'
import { GOES_STALE, topicOf } from '../staleness'
import type { FieldChange } from './amend'
import { exchanged } from './exchange'
import { fieldAddress, fieldPath, fieldValue } from './field'

/** A correction that is likely enough to be offered for one press. */
export interface Suggestion {
  /**
   * opposite = the words turned round; twin = an adjuster taken for another; swap = two change places;
   * exchange = two change what they are in the circuit
   */
  readonly kind: 'opposite' | 'twin' | 'swap' | 'exchange'
  /** designators of those that are meant */
  readonly designators: readonly string[]
  readonly changes: readonly FieldChange[]
}

/** Words that a sheet confuses most, each way round. */
const OPPOSITES: readonly (readonly [string, string])[] = [
  ['left', 'right'],
  ['clockwise', 'anticlockwise'],
  ['inwards', 'outwards'],
  ['raises', 'lowers'],
  ['front', 'rear'],
  ['upper', 'lower'],
  ['above', 'below'],
  ['first', 'second'],
  ['parts side', 'solder side'],
]

/**
 * The words with left for right, clockwise for anticlockwise and so on; null = nothing in them has an
 * opposite.
 * @example mirrored('right of the two trimmers') // => 'left of the two trimmers'
 */
export function mirrored(words: string): string | null {
  for (const [a, b] of OPPOSITES) {
    const pattern = new RegExp(`\\b(${a}|${b})\\b`, 'gi')
    if (!pattern.test(words)) continue
    return words.replace(pattern, found => likeCase(found.toLowerCase() === a ? b : a, found))
  }
  return null
}

function likeCase(word: string, model: string): string {
  return model[0] === model[0]!.toUpperCase() ? word[0]!.toUpperCase() + word.slice(1) : word
}

/** What a wrong field most likely should say: the opposite, or what its twin says. */
export function suggestions(sheet: ModelSheet, path: string): Suggestion[] {
  const { part, id, field } = fieldAddress(path)
  const value = fieldValue(sheet, path)
  const out: Suggestion[] = []
  if (typeof value === 'string') {
    const other = mirrored(value)
    if (other)
      out.push({ kind: 'opposite', designators: [], changes: [{ line: path, from: value, to: other }] })
  }
  if (part === 'adjuster' && (field === 'where' || field === 'board'))
    out.push(...twins(sheet, adjusterOf(sheet, id)).map(t => swapped(adjusterOf(sheet, id), t)))
  if (part === 'step' && field === 'adjusters' && Array.isArray(value) && value.length === 1)
    out.push(...otherAdjusters(sheet, id, adjusterOf(sheet, value[0] as string)))
  return out
}

/**
 * What a step turns instead. Where the one that it names is what such a step turns, the sheet took two of
 * them for each other everywhere; else the step alone names the wrong one.
 */
function otherAdjusters(sheet: ModelSheet, stepId: string, named: Adjuster): Suggestion[] {
  const step = sheet.procedure.find(s => s.id === stepId)!
  return twins(sheet, named).map(twin => {
    const designators = [twin.designator, named.designator]
    // Rows of menu values are called after their entries: those are put right in the editor.
    if (twin.role !== named.role && named.kind !== 'menu-value' && moves(named, step))
      return { kind: 'exchange', designators, changes: exchanged(sheet, named, twin, step) }
    const line = fieldPath('step', step.id, 'adjusters')
    return {
      kind: 'twin',
      designators: [twin.designator],
      changes: [{ line, from: step.adjusters, to: [twin.designator] }],
    }
  })
}

/** Whether turning it changes anything that the step measures. */
const moves = ({ role }: Adjuster, { points }: Step): boolean =>
  points.some(p => p.wants.some(w => GOES_STALE[role].topics.includes(topicOf(w.quantity, p.state))))

/** So near that one is taken for the other [of the board]. */
const NEAR = 0.2

/** Adjusters of the same kind nearby: what can be taken for it, the nearest first. */
export function twins(sheet: ModelSheet, adjuster: Adjuster): Adjuster[] {
  const away = (a: Adjuster) => Math.hypot(a.board.x - adjuster.board.x, a.board.y - adjuster.board.y)
  return sheet.adjusters
    .filter(a => a.designator !== adjuster.designator && a.kind === adjuster.kind && away(a) <= NEAR)
    .sort((a, b) => away(a) - away(b))
    .slice(0, 2)
}

function swapped(a: Adjuster, b: Adjuster): Suggestion {
  const both = (field: 'where' | 'board') => [
    { line: fieldPath('adjuster', a.designator, field), from: a[field], to: b[field] },
    { line: fieldPath('adjuster', b.designator, field), from: b[field], to: a[field] },
  ]
  return {
    kind: 'swap',
    designators: [a.designator, b.designator],
    changes: [...both('where'), ...both('board')],
  }
}
