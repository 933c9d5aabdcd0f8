import type { MessageCode } from '#shared/i18n'
import type { Stage } from '#core/work'

/** Names of the phases of a job. */
export const STAGE_NAMES: Readonly<Record<Stage, MessageCode>> = {
  'intake': 'job.intake',
  'inspection': 'job.inspection',
  'as-found': 'common.asFound',
  'findings': 'job.findings',
  'repair': 'job.repair',
  'align': 'job.alignment',
  'as-left': 'common.asLeft',
  'soak': 'job.soakTest',
  'handover': 'job.handover',
}
