import type { JobKind } from '#core/run'
import { stagesOfKind, type Stage } from '#core/work'
import { capital, midSentence } from './sentence'
import { t, type MessageCode } from '#shared/i18n'

const KIND_WORDS: Readonly<Record<JobKind, MessageCode>> = {
  'check': 'kind.check',
  'repair': 'kind.repair',
  'alignment': 'kind.alignment',
  'full-service': 'kind.fullService',
  'conversion': 'kind.conversion',
  'proof': 'kind.proof',
  'demonstration': 'kind.demonstration',
}
export const jobKindWords = (kind: JobKind): string => t(KIND_WORDS[kind])

/** Names of the phases of a job. */
export const STAGE_NAMES: Readonly<Record<Stage, MessageCode>> = {
  'intake': 'job.intake',
  'inspection': 'job.inspection',
  'as-found': 'common.asFound',
  'findings': 'job.findings',
  'repair': 'job.repair',
  'align': 'job.alignment',
  'trials': 'trial.trials',
  'as-left': 'common.asLeft',
  'soak': 'job.soakTest',
  'handover': 'job.handover',
}

/** What a kind of job goes through, in one line. */
export const phasesOfKind = (kind: JobKind): string =>
  capital(
    stagesOfKind(kind)
      .filter(s => s !== 'intake')
      .map(s => midSentence(t(STAGE_NAMES[s])))
      .join(', '),
  )
