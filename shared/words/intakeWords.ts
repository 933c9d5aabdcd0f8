import { t, type MessageCode } from '#shared/i18n'
import type { Intake, Job } from '../job'
import { claimWords } from './claimWords'
import { day } from './dateWords'

const LABELS: Readonly<Record<Exclude<keyof Intake, 'sheetId'>, MessageCode>> = {
  owner: 'common.owner',
  contact: 'common.contact',
  ruleSetId: 'common.ruleSet',
  serial: 'common.serialNumber',
  complaint: 'common.complaint',
  claims: 'intake.claims',
  accessories: 'intake.accessories',
  boxNote: 'intake.noteFoundInThePackaging',
  mayDo: 'intake.approvedInAdvance',
  ownerLanguage: 'form.ownerLanguage',
  promisedOn: 'common.dueDate',
}

/** One field on which two versions of an intake differ. */
export interface Differing {
  readonly label: string
  readonly mine: string
  readonly theirs: string
}

/**
 * The fields that differ, in the order of the form, in words. The model cannot be changed and is left out.
 */
export function differing(mine: Intake, theirs: Job, ruleSetName: (id: string) => string): Differing[] {
  return (Object.keys(LABELS) as (keyof typeof LABELS)[]).flatMap(field => {
    const [a, b] = [words(field, mine, ruleSetName), words(field, theirs, ruleSetName)]
    return a === b
      ? []
      : [{ label: t(LABELS[field]), mine: a || t('intake.empty'), theirs: b || t('intake.empty') }]
  })
}

function words(
  field: keyof typeof LABELS,
  intake: Intake | Job,
  ruleSetName: (id: string) => string,
): string {
  switch (field) {
    case 'claims':
      return intake.claims.map(claimWords).join('; ')
    case 'ruleSetId':
      return ruleSetName(intake.ruleSetId)
    case 'promisedOn':
      return intake.promisedOn ? day(intake.promisedOn) : ''
    default:
      return intake[field] ?? ''
  }
}
