import { number, object, string, type InferType, uuid } from '#shared/yup'
import { UNKNOWN_FIELD } from './unknownField'
import type { Job } from './job'

/** Where a job stands, as far as a search asks. */
export const JOB_STATES = ['any', 'bench', 'away', 'withdrawn'] as const

/** A search over every job: words, all of which must occur, and filters. */
export const searchQuery = object({
  words: string().trim().label('form.words').max(200).default(''),
  sheetId: string().label('common.model').max(60).default(''),
  state: string().label('form.state').oneOf(JOB_STATES).default('any'),
  causeId: string().label('form.confirmedCause').max(40).default(''),
  /** only jobs with a smaller number: the next page */
  before: number().label('form.before').integer().min(1).max(2_147_483_647).nullable().default(null),
}).noUnknown(true, UNKNOWN_FIELD)

export type SearchQuery = InferType<typeof searchQuery>
/** What a saved view keeps: the page it was on is not part of it. */
export type SavedQuery = Omit<SearchQuery, 'before'>

export interface FoundJob extends Pick<
  Job,
  'id' | 'number' | 'owner' | 'sheetId' | 'serial' | 'complaint' | 'onBench' | 'createdAtMs'
> {
  /** a piece of what was found where the words occur, or '' */
  readonly excerpt: string
  /** begun by mistake: found, and counted nowhere */
  readonly isWithdrawn: boolean
}

export interface SearchResult {
  readonly jobs: readonly FoundJob[]
  /** number to ask the next page with; null = that was all */
  readonly next: number | null
  /** short words were looked for among the newest jobs only; null = among all */
  readonly amongNewest: number | null
}

export const savedViewBody = object({
  id: uuid(),
  name: string().trim().label('common.name').min(1).max(60).required(),
  query: object({
    words: string().max(200).defined(),
    sheetId: string().max(60).defined(),
    state: string().oneOf(JOB_STATES).required(),
    causeId: string().max(40).defined(),
  })
    .noUnknown(true, UNKNOWN_FIELD)
    .required(),
  /** the view of this name that it takes the place of, on purpose */
  replaces: uuid().nullable().defined(),
}).noUnknown(true, UNKNOWN_FIELD)
export type NewView = InferType<typeof savedViewBody>

export interface SavedView {
  readonly id: string
  readonly name: string
  readonly query: SavedQuery
}

/** One cell of the as-found matrix over the last sets of a model, and one set in it. */
export interface SpreadCell {
  readonly pointId: string
  readonly quantity: string
  /** sets that were counted */
  readonly count: number
  /** tenth, quarter, half, three quarters, nine tenths of them lie below [SI] */
  readonly p10: number
  readonly p25: number
  readonly p50: number
  readonly p75: number
  readonly p90: number
  /** of the job asked about; null = none was, or it has no reading here */
  readonly own: number | null
}

export interface ModelHistory {
  readonly sheetId: string
  readonly jobs: number
  readonly spread: readonly SpreadCell[]
  /** typical faults: causes confirmed on this model, the most frequent first */
  readonly causes: readonly { readonly causeId: string; readonly count: number }[]
}
