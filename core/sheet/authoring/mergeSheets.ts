import type { ModelSheet } from '../modelSheet'
import { SHEET_LISTS, compareSheets, type SheetDifference } from './compareSheets'

/** One place that two people changed to different things. */
export interface SheetConflict extends Pick<SheetDifference, 'part' | 'name' | 'field'> {
  readonly base: string | undefined
  readonly mine: string | undefined
  readonly theirs: string | undefined
}

export interface SheetMerge {
  /** their revision with everything of mine that nobody else touched; conflicts stand as theirs */
  readonly merged: ModelSheet
  readonly conflicts: readonly SheetConflict[]
  /** places that were taken over from them */
  readonly taken: number
}

type Location = Pick<SheetDifference, 'part' | 'name' | 'field'>
type Holder = Record<string, unknown>
const keyOf = ({ part, name, field }: Location) => `${part}\u0000${name}\u0000${field}`

/**
 * Two changed copies of one revision put together, field by field.
 * @param base that both began from
 * @param mine what was written here, not saved yet
 * @param theirs what somebody saved meanwhile
 */
export function mergeSheets(base: ModelSheet, mine: ModelSheet, theirs: ModelSheet): SheetMerge {
  const [ours, others] = [compareSheets(base, mine), compareSheets(base, theirs)]
  const conflicts: SheetConflict[] = []
  let merged = theirs
  for (const change of ours) {
    const against =
      others.find(o => keyOf(o) === keyOf(change)) ??
      others.find(
        o =>
          o.part === change.part &&
          o.name === change.name &&
          o.name !== '' &&
          (o.field === '' || change.field === ''),
      )
    if (!against) merged = taking(merged, mine, change)
    else if (keyOf(against) !== keyOf(change) || against.after !== change.after)
      conflicts.push({
        part: change.part,
        name: change.name,
        field: change.field,
        base: change.before,
        mine: change.after,
        theirs: against.after,
      })
  }
  return { merged, conflicts, taken: others.length }
}

/**
 * A sheet with one place as another one has it: a field, a whole entry, its absence, or the order of a list.
 */
export function taking(sheet: ModelSheet, from: ModelSheet, { part, name, field }: Location): ModelSheet {
  const [target, source] = [sheet as unknown as Holder, from as unknown as Holder]
  if (part === 'sheet') return withField(target, field, source[field]) as unknown as ModelSheet
  const id = (SHEET_LISTS as Record<string, string>)[part]!
  const list = (target[part] ?? []) as Holder[]
  const other = (source[part] ?? []) as Holder[]
  return {
    ...target,
    [part]:
      field === 'order' && name === '' ? ordered(list, other, id) : entryTaken(list, other, id, name, field),
  } as unknown as ModelSheet
}

function withField(holder: Holder, field: string, value: unknown): Holder {
  const { [field]: _old, ...rest } = holder
  return value === undefined ? rest : { ...rest, [field]: value }
}

function entryTaken(
  list: readonly Holder[],
  other: readonly Holder[],
  id: string,
  name: string,
  field: string,
): Holder[] {
  const theirs = other.find(h => String(h[id]) === name)
  const here = list.some(h => String(h[id]) === name)
  if (!theirs) return list.filter(h => String(h[id]) !== name)
  if (!here) return [...list, theirs]
  return list.map(h => {
    if (String(h[id]) !== name) return h
    return field === '' ? theirs : withField(h, field, theirs[field])
  })
}

function ordered(list: readonly Holder[], other: readonly Holder[], id: string): Holder[] {
  const rank = (h: Holder) => {
    const at = other.findIndex(o => o[id] === h[id])
    return at < 0 ? other.length : at
  }
  return list.toSorted((a, b) => rank(a) - rank(b))
}
