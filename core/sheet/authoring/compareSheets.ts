import type { ModelSheet } from '../modelSheet'

/** One place at which two revisions differ. before or after undefined = it is not in that one. */
export interface SheetDifference {
  readonly part: string
  readonly name: string
  readonly field: string
  readonly before: string | undefined
  readonly after: string | undefined
}

type Named = Readonly<Record<string, unknown>>

/** Parts of a sheet that are lists of named things, and what names them. */
export const SHEET_LISTS = {
  adjusters: 'designator',
  testPoints: 'id',
  matrix: 'id',
  procedure: 'id',
  specification: 'what',
  owed: 'id',
  inspection: 'id',
  typicalFaults: 'seen',
  boards: 'side',
  bands: 'name',
  powerControls: 'name',
} as const
const NOT_COMPARED = ['revision', 'revisedOn']

/** Where two revisions of a sheet differ, part by part, in the order of the sheet; same = empty. */
export function compareSheets(before: ModelSheet, after: ModelSheet): SheetDifference[] {
  const [a, b] = [before as unknown as Named, after as unknown as Named]
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(k => !NOT_COMPARED.includes(k))
  return keys.flatMap(key => {
    const name = (SHEET_LISTS as Record<string, string>)[key]
    return name
      ? lists(key, name, (a[key] ?? []) as Named[], (b[key] ?? []) as Named[])
      : differing('sheet', '', key, a[key], b[key])
  })
}

function lists(
  part: string,
  id: string,
  before: readonly Named[],
  after: readonly Named[],
): SheetDifference[] {
  const ids = [...new Set([...before, ...after].map(h => String(h[id])))]
  const entries = ids.flatMap(name => {
    const [a, b] = [before.find(h => h[id] === name), after.find(h => h[id] === name)]
    if (!a || !b) return differing(part, name, '', a, b)
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap(field =>
      differing(part, name, field, a[field], b[field]),
    )
  })
  const [orderA, orderB] = [before, after].map(l =>
    l
      .map(h => String(h[id]))
      .filter(n => before.some(h => h[id] === n) && after.some(h => h[id] === n))
      .join(', '),
  )
  return orderA === orderB
    ? entries
    : [...entries, { part, name: '', field: 'order', before: orderA, after: orderB }]
}

function differing(
  part: string,
  name: string,
  field: string,
  before: unknown,
  after: unknown,
): SheetDifference[] {
  const [a, b] = [written(before), written(after)]
  return a === b ? [] : [{ part, name, field, before: a, after: b }]
}

/** A value as one line; the same value is the same line whatever the order of its keys. */
function written(value: unknown): string | undefined {
  if (value === undefined) return undefined
  return typeof value === 'string' ? value : JSON.stringify(sorted(value))
}

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => [k, sorted(v)]),
  )
}
