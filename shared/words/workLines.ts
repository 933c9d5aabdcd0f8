import { t, translated } from '#shared/i18n'
import { adjusted } from '#core/handover'
import type { JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { inspection, isolation, type JobState } from '#core/work'
import { workDone } from './handoverWords'
import { isolationLines } from './isolationWords'
import { partTestWords, partVerdictWords, PART_KIND_WORDS } from './partWords'
import { sentence } from './sentence'
import { ITEM_STATE_WORDS } from './workWords'
import { convertedWords, mendedWords } from './ownerWords'

/**
 * Everything that was done on a job, for the workshop.
 * @param found sheet that the set came as, where it was converted
 * @param events those that count
 */
export const workLines = (
  { sheet, found }: { readonly sheet: ModelSheet; readonly found: ModelSheet },
  { run, compared }: Pick<JobState, 'run' | 'compared'>,
  events: readonly JobEvent[],
): string[] => [
  ...convertedWords(sheet, found),
  ...isolationLines(isolation(sheet, events)),
  ...workDone(run, adjusted(run, compared, events), events),
  ...mendedWords(sheet, events),
  ...notedAsFine(sheet, events),
  ...partTestLines(events),
]

/** What was looked at and right, where somebody wrote a word about it: found whole is a finding too. */
const notedAsFine = (sheet: ModelSheet, events: readonly JobEvent[]): string[] =>
  inspection(sheet, events).flatMap(({ item, last }) =>
    last?.state === 'fine' && last.text
      ? [sentence(`${translated(item.lookFor)}: ${t(ITEM_STATE_WORDS.fine)}, ${last.text}`)]
      : [],
  )

/** What was tried on parts, with what it proves. */
const partTestLines = (events: readonly JobEvent[]): string[] =>
  events.flatMap(e =>
    e.kind === 'part-tested'
      ? [
          `${t('repair.testOf', { kind: t(PART_KIND_WORDS[e.partKind ?? 'transistor']) })}: ` +
            [`${e.part}, ${partVerdictWords(e)}`, partTestWords(e)].filter(Boolean).join('; '),
        ]
      : [],
  )
