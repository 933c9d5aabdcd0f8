export const SHEET_PROBLEMS = [
  'named-twice',
  'unknown-adjuster',
  'unknown-step',
  'waits-for-itself',
  'unknown-channel',
  'unknown-plan',
  'unknown-quantity',
  'no-points',
  'no-wants',
  'no-steps',
  'no-matrix',
  'window-upside-down',
  'unknown-point',
  'unknown-oscillator',
  'not-measured-here',
  'needs-later',
  'unknown-school',
  'no-bands',
  'unnamed-band',
  'empty-band',
  'not-on-raster',
  'too-many-channels',
  'outside-band',
  'mode-not-in-band',
  'two-power-positions',
  'ends-of-control',
] as const
export type SheetProblemCode = (typeof SHEET_PROBLEMS)[number]

export const SHEET_PLACES = [
  'sheet',
  'as-found',
  'procedure',
  'adjuster',
  'step',
  'row',
  'test-point',
  'oscillator',
  'frequency',
  'school',
  'band',
  'power-control',
] as const

/** Where in a sheet something is; a row of a step has the step's id and its own. */
export interface SheetLocation {
  readonly kind: (typeof SHEET_PLACES)[number]
  readonly name: string | null
  readonly row: string | null
}

/** What does not hold together in a sheet: where, and which names. */
export interface SheetProblem {
  readonly code: SheetProblemCode
  readonly at: SheetLocation
  readonly names: readonly string[]
}

export const location = (
  kind: SheetLocation['kind'],
  name: string | null = null,
  row: string | null = null,
): SheetLocation => ({ kind, name, row })

export const problem = (code: SheetProblemCode, at: SheetLocation, ...names: string[]): SheetProblem => ({
  code,
  at,
  names,
})

export function twice(
  kind: SheetLocation['kind'],
  ids: readonly string[],
  of = (id: string) => location(kind, id),
): SheetProblem[] {
  return [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))].map(id =>
    problem('named-twice', of(id), id),
  )
}
