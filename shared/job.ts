import { LANGUAGES, t } from '#shared/i18n'
import { array, boolean, number, object, string, type InferType, uuid } from '#shared/yup'
import { MODES, type Mode } from '#core/rules'
import { CLAIM_QUANTITIES, CLAIM_QUANTITY_NAMES, type ClaimKind, type ClaimQuantity } from '#core/claims'
import { JOB_KINDS, USUAL_JOB_KIND, type JobKind } from '#core/run'
import { SET_FAMILIES, type SchoolChoices } from '#core/sheet'
import { UNKNOWN_FIELD } from './unknownField'
import { day } from './day'

const SERIAL = /^[\p{L}\p{N} \-/.#()]*$/u

const CLAIM_KINDS: readonly ClaimKind[] = ['about', 'under', 'over']
/** More numbers than this in one complaint are a letter, not claims. */
export const MAX_CLAIMS = 10

const claim = object({
  id: uuid(),
  quantity: string<ClaimQuantity>().oneOf(CLAIM_QUANTITY_NAMES).required(),
  kind: string<ClaimKind>().oneOf(CLAIM_KINDS).required(),
  value: number()
    .label('form.claim')
    .typeError(() => t('form.claimsEachNeedsANumberWithout'))
    .required()
    .test('possible', (value, context) => {
      const info = CLAIM_QUANTITIES[(context.parent as { quantity: ClaimQuantity }).quantity] as
        (typeof CLAIM_QUANTITIES)[ClaimQuantity] | undefined
      // An unknown quantity is refused by its own name.
      if (!info) return true
      const { label, signed, max, perSi, shownUnit } = info
      const ok = Number.isFinite(value) && Math.abs(value) <= max && (signed || value >= 0)
      return (
        ok ||
        context.createError({
          message: t('form.claimIsImpossible', { label, value: value * perSi, shownUnit }),
        })
      )
    }),
  meter: string().trim().label('form.ownersMeter').max(100).defined(),
  mode: string<Mode>()
    .nullable()
    .oneOf([...MODES, null])
    .optional(),
  channel: number().integer().min(1).max(400).nullable().optional(),
}).noUnknown(true, UNKNOWN_FIELD)

/** Intake of a job. The same schema checks the form and the request. */
export const intakeBody = object({
  owner: string().trim().label('common.owner').max(200).required(),
  contact: string().trim().label('common.contact').max(500).default(''),
  sheetId: string().label('common.model').max(60).required(),
  ruleSetId: string().label('common.ruleSet').max(20).required(),
  serial: string()
    .trim()
    .label('common.serialNumber')
    .max(60)
    .required()
    .matches(SERIAL, () => t('form.serialNumberUseLettersDigitsSpace')),
  complaint: string().trim().label('common.complaint').max(10_000).required(),
  claims: array(claim.required()).label('form.claims').max(MAX_CLAIMS).default([]),
  accessories: string().trim().label('form.accessories').max(2000).default(''),
  boxNote: string().trim().label('form.noteFoundInThePackaging').max(10_000).default(''),
  mayDo: string().trim().label('form.approvedInAdvance').max(2000).default(''),
  promisedOn: day('common.dueDate').nullable().default(null),
  /** his paper is written in it; '' = in that of whoever prints it */
  ownerLanguage: string()
    .label('form.ownerLanguage')
    .oneOf(['', ...LANGUAGES] as const)
    .default(''),
}).noUnknown(true, UNKNOWN_FIELD)

export type Intake = InferType<typeof intakeBody>

/** A model that has no sheet yet: what it is called, and the family whose sheet it begins with. */
const newModel = object({
  model: string().trim().label('common.model').max(100).min(1).required(),
  family: string()
    .label('form.family')
    .oneOf(SET_FAMILIES.map(f => f.id))
    .required(),
}).noUnknown(true, UNKNOWN_FIELD)
export type NewModel = InferType<typeof newModel>

export const newJobBody = intakeBody
  .shape({
    id: uuid(),
    jobKind: string<JobKind>().label('kind.kindOfJob').oneOf(JOB_KINDS).default(USUAL_JOB_KIND),
    newModel: newModel.nullable().default(null),
  })
  .noUnknown(true, UNKNOWN_FIELD)
/** An intake with what the job is to be. */
export type BookedIn = Intake & { readonly jobKind: JobKind; readonly newModel: NewModel | null }

/** Parts of a job that may be corrected later, all at once or one by one. */
export const jobPatch = object({
  /** version of the job that the change was made from */
  version: number().integer().min(1).required(),
  owner: string().trim().label('common.owner').max(200).min(1),
  contact: string().trim().label('common.contact').max(500),
  ruleSetId: string().label('common.ruleSet').max(20),
  serial: string()
    .trim()
    .label('common.serialNumber')
    .max(60)
    .min(1)
    .matches(SERIAL, () => t('form.serialNumberUseLettersDigitsSpace')),
  complaint: string().trim().label('common.complaint').max(10_000).min(1),
  claims: array(claim.required()).label('form.claims').max(MAX_CLAIMS),
  accessories: string().trim().label('form.accessories').max(2000),
  boxNote: string().trim().label('form.noteFoundInThePackaging').max(10_000),
  mayDo: string().trim().label('form.approvedInAdvance').max(2000),
  promisedOn: day('common.dueDate').nullable(),
  ownerLanguage: string()
    .label('form.ownerLanguage')
    .oneOf(['', ...LANGUAGES] as const),
  onBench: boolean(),
}).noUnknown(true, UNKNOWN_FIELD)

export type JobPatch = InferType<typeof jobPatch>
/** The fields of a change, without the version it starts from. */
export type JobChange = Omit<JobPatch, 'version'>

/** A job as it travels. */
export interface Job extends Omit<Intake, 'promisedOn'> {
  readonly id: string
  readonly number: number
  /** grows with every change of the intake */
  readonly version: number
  readonly sheetRevision: number
  readonly promisedOn: string | null
  readonly onBench: boolean
  /** null = on the shelf */
  /** choices between schools that were in force when it began */
  readonly schools: SchoolChoices
  readonly bench: number | null
  readonly benchOrder: number
  readonly createdAtMs: number
  /** of a simulated set */
  readonly isPractice: boolean
}
