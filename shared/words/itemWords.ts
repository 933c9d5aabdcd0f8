import { t, translated, type MessageCode } from '#shared/i18n'
import { itemGroups, type CommonKind, type OpenItem } from '#core/run'
import { messageWords } from './messageWords'

const ITEM_WORDS: Record<OpenItem['kind'], MessageCode> = {
  'owed': 'run.partOfTheProcedureNotDone',
  'step-open': 'run.alignmentStep',
  'accepted-as-is': 'run.itemAcceptedAsIs',
  'skipped': 'common.skipped',
  'as-found-missing': 'run.asFound',
  'as-left-missing': 'run.asLeft',
  'as-left-stale': 'run.asLeftRecheck',
  'as-left-outside': 'run.asLeftNotWithin',
  'as-left-doubtful': 'run.asLeftImplausible',
  'as-found-doubtful': 'run.asFoundImplausible',
  'more-than-kind': 'run.moreThanKind',
  'question': 'run.questionToTheOwner',
  'wait': 'run.onHold',
  'ask-owner': 'run.foundOnInspectionAskTheOwner',
  'reminder': 'run.reminderNowDue',
  'after-final': 'run.requiredAfterANewFinal',
  'soak': 'run.soakTest',
  'settings-missing': 'run.settingsMissing',
  'put-back': 'run.putBack',
}

const MANY_WORDS: Readonly<Record<CommonKind, MessageCode>> = {
  'owed': 'run.manyOwed',
  'step-open': 'run.manyStepsOpen',
  'skipped': 'run.manySkipped',
  'as-found-missing': 'run.manyAsFoundMissing',
  'as-left-missing': 'run.manyAsLeftMissing',
  'as-left-stale': 'run.manyAsLeftStale',
}

/** Several open items of a kind in one line. */
export const manyWords = (common: CommonKind, count: number): string => t(MANY_WORDS[common], { count })

/** What is open, and what there is to say of it. */
export const itemTitle = ({ title }: OpenItem): string => translated(title)

export const itemDetail = ({ detail }: OpenItem): string =>
  typeof detail === 'string' ? translated(detail) : messageWords(detail)

export const itemWords = ({ kind }: OpenItem): string => t(ITEM_WORDS[kind])

/** Open items as a paper lists them: many of a kind in one line, each by its name. */
export function openItemLines(items: readonly OpenItem[]): string[] {
  const lines = itemGroups(items).flatMap(g => g.lines)
  return lines.map(({ common, items: of }) =>
    common === null
      ? `${itemTitle(of[0]!)} (${itemWords(of[0]!)}): ${itemDetail(of[0]!)}`
      : `${manyWords(common, of.length)}. ${titlesBy(of, itemDetail).join('. ')}`,
  )
}

/** What was closed: items that one reason closed, in one line. */
export const closedItemLines = (items: readonly OpenItem[]): string[] =>
  titlesBy(
    items.filter(i => i.settled !== null),
    i => i.settled!,
  )

/** Items of which the same is said, in one line each: "Row 1; Row 2: not measured". */
function titlesBy(items: readonly OpenItem[], said: (item: OpenItem) => string): string[] {
  const titles = new Map<string, string[]>()
  for (const item of items) titles.set(said(item), [...(titles.get(said(item)) ?? []), itemTitle(item)])
  return [...titles].map(([words, of]) => [of.join('; '), words].filter(Boolean).join(': '))
}
