import type { OpenItem } from './openItems'

/** Where an open item comes from: the procedure, what was seen, what somebody was asked, what came due. */
export const ITEM_GROUPS = ['seen', 'asked', 'due', 'owed'] as const
export type ItemGroup = (typeof ITEM_GROUPS)[number]

const GROUP_OF: Readonly<Record<OpenItem['kind'], ItemGroup>> = {
  'owed': 'owed',
  'step-open': 'owed',
  'accepted-as-is': 'seen',
  'skipped': 'owed',
  'as-found-missing': 'owed',
  'as-left-missing': 'owed',
  'as-left-stale': 'owed',
  'as-left-outside': 'seen',
  'as-left-doubtful': 'seen',
  'as-found-doubtful': 'seen',
  'more-than-kind': 'owed',
  'question': 'asked',
  'wait': 'asked',
  'ask-owner': 'asked',
  'reminder': 'due',
  'after-final': 'owed',
  'soak': 'due',
  'settings-missing': 'owed',
  'put-back': 'owed',
}

/**
 * Kinds of which one reason can settle several: work that was left out for the same cause. What was found,
 * what was asked, and what a new final owes before it is keyed, is each a matter of its own.
 */
const SETTLED_TOGETHER = [
  'owed',
  'step-open',
  'skipped',
  'as-found-missing',
  'as-left-missing',
  'as-left-stale',
] as const satisfies readonly OpenItem['kind'][]
export type CommonKind = (typeof SETTLED_TOGETHER)[number]
const isCommon = (kind: OpenItem['kind']): kind is CommonKind =>
  (SETTLED_TOGETHER as readonly string[]).includes(kind)
/** So many of a kind are one line; fewer are read faster one by one. */
const MIN_TOGETHER = 3

/** One line of a list of open items: an item by itself, or several of a kind. */
export interface ItemLine {
  /** what all of them are; null = one item, which says it itself */
  readonly common: CommonKind | null
  readonly items: readonly OpenItem[]
}

/**
 * Open items as they are gone through: by where they come from, many of a kind as one line.
 * @returns groups in which something is open, in the order of the list above; without what is settled
 */
export function itemGroups(items: readonly OpenItem[]): { group: ItemGroup; lines: ItemLine[] }[] {
  const open = items.filter(i => i.settled === null)
  return ITEM_GROUPS.flatMap(group => {
    const lines = linesOf(open.filter(i => GROUP_OF[i.kind] === group))
    return lines.length > 0 ? [{ group, lines }] : []
  })
}

function linesOf(items: readonly OpenItem[]): ItemLine[] {
  const kinds = [...new Set(items.map(i => i.kind))]
  return kinds.flatMap((kind): ItemLine[] => {
    const alike = items.filter(i => i.kind === kind)
    return isCommon(kind) && alike.length >= MIN_TOGETHER
      ? [{ common: kind, items: alike }]
      : alike.map(item => ({ common: null, items: [item] }))
  })
}
