import { boolean, object, string, type InferType } from 'yup'
import { UNKNOWN_FIELD } from './unknownField'

const SERIAL = /^[\p{L}\p{N} \-/.#()]*$/u
const DAY = /^\d{4}-\d{2}-\d{2}$/

/** Intake of a job. The same schema checks the form and the request. */
export const intakeBody = object({
  owner: string().trim().label('Owner').max(200).required(),
  contact: string().trim().label('Contact').max(500).default(''),
  sheetId: string().label('Model').max(60).required(),
  ruleSetId: string().label('Rule set').max(20).required(),
  serial: string().trim().label('Serial').max(60).required()
    .matches(SERIAL, 'Serial: only letters, digits, space and - / . # ( ) occur in serial numbers'),
  complaint: string().trim().label('Complaint').max(10_000).required(),
  accessories: string().trim().label('Accessories').max(2000).default(''),
  mayDo: string().trim().label('May be done without asking').max(2000).default(''),
  promisedOn: string().label('Promised').nullable().default(null).matches(DAY, { message: 'Promised: write the day as 2026-11-27', excludeEmptyString: true })
    .test('real-day', 'Promised: there is no such day', v => !v || (!Number.isNaN(Date.parse(v)) && new Date(v).toISOString().startsWith(v))),
}).noUnknown(true, UNKNOWN_FIELD)

export type Intake = InferType<typeof intakeBody>

export const newJobBody = intakeBody.shape({ id: string().uuid().required() }).noUnknown(true, UNKNOWN_FIELD)

/** Parts of a job that may be corrected later. */
export const jobPatch = object({
  owner: string().trim().label('Owner').max(200).min(1),
  contact: string().trim().label('Contact').max(500),
  ruleSetId: string().label('Rule set').max(20),
  serial: string().trim().label('Serial').max(60).min(1).matches(SERIAL, 'Serial: only letters, digits, space and - / . # ( ) occur in serial numbers'),
  complaint: string().trim().label('Complaint').max(10_000).min(1),
  accessories: string().trim().label('Accessories').max(2000),
  mayDo: string().trim().label('May be done without asking').max(2000),
  promisedOn: string().label('Promised').nullable().matches(DAY, { message: 'Promised: write the day as 2026-11-27', excludeEmptyString: true }),
  onBench: boolean(),
}).noUnknown(true, UNKNOWN_FIELD)

export type JobPatch = InferType<typeof jobPatch>

/** A job as it travels. */
export interface Job extends Omit<Intake, 'promisedOn'> {
  readonly id: string
  readonly number: number
  readonly sheetRevision: number
  readonly promisedOn: string | null
  readonly onBench: boolean
  readonly createdAtMs: number
}

/** W-0231 from 231. */
export function jobTag(number: number): string {
  return `W-${String(number).padStart(4, '0')}`
}
