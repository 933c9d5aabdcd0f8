import { latestStart, type BlockedPeriod } from './promise'
import type { Stage } from './stages'
import type { WaitsFor } from './waiting'
import type { WarmUp } from './warmUp'

/** What the bench knows of a job on it. */
export interface BenchJob {
  readonly id: string
  readonly sheetId: string
  /** phases that are still to be done, the next one first */
  readonly ahead: readonly Stage[]
  readonly waitsFor: WaitsFor | null
  /** first power said stop: it stays off */
  readonly stopped: boolean
  readonly warmUp: WarmUp | null
  readonly soakEndsAtMs: number | null
  readonly promisedOn: string | null
}

export type Suggestion =
  | { readonly kind: 'stopped'; readonly jobId: string }
  | { readonly kind: 'soak-due'; readonly jobId: string }
  | { readonly kind: 'switch-on'; readonly jobId: string; readonly beside: string }
  | { readonly kind: 'ask-again'; readonly jobId: string; readonly days: number }
  | { readonly kind: 'promised'; readonly jobId: string; readonly late: boolean; readonly promisedOn: string }
  | { readonly kind: 'go-on'; readonly jobId: string }
  | { readonly kind: 'batch'; readonly jobId: string; readonly like: string; readonly others: number }

/** A question that was not answered this long is asked again [days] (common practice). */
const ASK_AGAIN_DAYS = 3
/** Work that must begin this soon to keep its promise is pressing [days]. */
const PRESSING_DAYS = 0
const DAY_MS = 86_400_000
/** Stages in which a cold set holds the bench up. */
const NEEDS_WARMTH: readonly Stage[] = ['as-found', 'align', 'as-left']

/**
 * What to do next, the most useful first: stop rules, sets that could be warming meanwhile, answers that are
 * missing, what was promised first, others of the same model (W12, common practice).
 * @param jobs on the bench, in the order in which they lie there
 */
export function nextUseful(
  jobs: readonly BenchJob[],
  nowMs: number,
  todayIso: string,
  blocked: readonly BlockedPeriod[] = [],
): Suggestion[] {
  const free = jobs.filter(j => j.waitsFor === null && !j.stopped && j.soakEndsAtMs === null)
  const ordered = [...free].sort((a, b) => rank(a, todayIso, blocked) - rank(b, todayIso, blocked))
  const [first] = ordered
  return [
    ...jobs.filter(j => j.stopped).map((j): Suggestion => ({ kind: 'stopped', jobId: j.id })),
    ...jobs
      .filter(j => j.soakEndsAtMs !== null && j.soakEndsAtMs <= nowMs)
      .map((j): Suggestion => ({ kind: 'soak-due', jobId: j.id })),
    ...coldBeside(ordered),
    ...jobs.flatMap(j => askAgain(j, nowMs)),
    ...(first ? [goOn(first, todayIso, blocked)] : []),
    ...batch(first, ordered),
  ]
}

/** Promised first, by the day on which work must begin; then as they lie on the bench. */
function rank(job: BenchJob, todayIso: string, blocked: readonly BlockedPeriod[]): number {
  return job.promisedOn === null
    ? Number.MAX_SAFE_INTEGER
    : daysTo(latestStart(job.promisedOn, job.ahead, blocked), todayIso)
}

function daysTo(day: string, todayIso: string): number {
  return Math.round((Date.parse(day) - Date.parse(todayIso)) / DAY_MS)
}

/** The next set but one warms while the first is worked on. */
function coldBeside([first, ...others]: readonly BenchJob[]): Suggestion[] {
  if (!first) return []
  const cold = others.find(j => NEEDS_WARMTH.includes(j.ahead[0]!) && j.warmUp === null)
  return cold ? [{ kind: 'switch-on', jobId: cold.id, beside: first.id }] : []
}

function askAgain(job: BenchJob, nowMs: number): Suggestion[] {
  if (job.waitsFor?.who !== 'owner') return []
  const days = Math.floor((nowMs - job.waitsFor.sinceMs) / DAY_MS)
  return days >= ASK_AGAIN_DAYS ? [{ kind: 'ask-again', jobId: job.id, days }] : []
}

function goOn(job: BenchJob, todayIso: string, blocked: readonly BlockedPeriod[]): Suggestion {
  if (job.promisedOn === null || rank(job, todayIso, blocked) > PRESSING_DAYS)
    return { kind: 'go-on', jobId: job.id }
  return {
    kind: 'promised',
    jobId: job.id,
    late: daysTo(job.promisedOn, todayIso) < 0,
    promisedOn: job.promisedOn,
  }
}

/** Others of the same model run on one set-up. */
function batch(first: BenchJob | undefined, ordered: readonly BenchJob[]): Suggestion[] {
  const alike = ordered.filter(j => j !== first && j.sheetId === first?.sheetId)
  return first && alike.length > 0
    ? [{ kind: 'batch', jobId: alike[0]!.id, like: first.id, others: alike.length }]
    : []
}
