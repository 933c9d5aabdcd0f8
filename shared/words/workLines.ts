import { adjusted } from '#core/handover'
import type { JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { isolation, type JobState } from '#core/work'
import { workDone } from './handoverWords'
import { isolationLines } from './isolationWords'
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
]
