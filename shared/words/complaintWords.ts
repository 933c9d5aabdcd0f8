import type { ComplaintTried, JobEvent } from '#core/run'
import { t, type MessageCode } from '#shared/i18n'
import { sentence } from './sentence'

export const COMPLAINT_WORDS: Readonly<Record<ComplaintTried['result'], MessageCode>> = {
  'reproduced': 'findings.reproduced',
  'intermittent': 'findings.intermittent',
  'not-reproduced': 'findings.notReproduced',
}

/** "Not reproduced: AM, two hours, tapped." */
export const complaintTriedWords = ({ result, text }: Pick<ComplaintTried, 'result' | 'text'>): string =>
  sentence(text ? `${t(COMPLAINT_WORDS[result])}: ${text}` : t(COMPLAINT_WORDS[result]))

/** Whether what the owner says showed on the bench, each time that it was tried. */
export const complaintLines = (events: readonly JobEvent[]): string[] =>
  events.flatMap(e => (e.kind === 'complaint-tried' ? [complaintTriedWords(e)] : []))
