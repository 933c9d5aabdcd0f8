import { t, translated, type MessageCode } from '#shared/i18n'
import type { OpenItem } from '#core/run'
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
  'question': 'run.questionToTheOwner',
  'wait': 'run.onHold',
  'ask-owner': 'run.foundOnInspectionAskTheOwner',
  'reminder': 'run.reminderNowDue',
  'after-final': 'run.requiredAfterANewFinal',
  'soak': 'run.soakTest',
}

/** What is open, and what there is to say of it. */
export const itemTitle = ({ title }: OpenItem): string => translated(title)

export const itemDetail = ({ detail }: OpenItem): string =>
  typeof detail === 'string' ? translated(detail) : messageWords(detail)

export const kindWords = (kind: OpenItem['kind']): string => t(ITEM_WORDS[kind])
export const itemWords = ({ kind }: OpenItem): string => kindWords(kind)
