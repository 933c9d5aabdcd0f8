import type { JobEvent, JobKind, RowState, RunState, StepState } from '../run'

export const STAGES = [
  'intake',
  'inspection',
  'as-found',
  'findings',
  'repair',
  'align',
  'trials',
  'as-left',
  'soak',
  'handover',
] as const
export type Stage = (typeof STAGES)[number]

const ALWAYS: readonly Stage[] = ['intake', 'inspection', 'handover']
const WORK_OF: Readonly<Record<JobKind, readonly Stage[]>> = {
  'check': ['as-found', 'findings'],
  'repair': ['as-found', 'findings', 'repair', 'as-left', 'soak'],
  'alignment': ['as-found', 'findings', 'align', 'as-left'],
  'full-service': STAGES.filter(s => s !== 'trials'),
  'conversion': ['as-found', 'repair', 'align', 'as-left', 'soak'],
  'proof': ['as-left', 'soak'],
  'demonstration': ['as-found', 'trials', 'as-left'],
}

/** Whether a kind of job asks for a phase. */
export const asksFor = (kind: JobKind, stage: Stage): boolean =>
  ALWAYS.includes(stage) || WORK_OF[kind].includes(stage)

/** Phases of a kind of job before anything was entered. */
export const stagesOfKind = (kind: JobKind): readonly Stage[] => STAGES.filter(s => asksFor(kind, s))

/** Phases of a job: those that its kind asks for, and those in which something was entered all the same. */
export function stagesOf(run: RunState, events: readonly JobEvent[]): readonly Stage[] {
  return STAGES.filter(s => asksFor(run.jobKind, s) || isBegun(s, run, events))
}

function isBegun(stage: Stage, run: RunState, events: readonly JobEvent[]): boolean {
  const measured = (of: string) => run.history.readings.some(t => t.row.phase === of && t.struck === null)
  const entered = (...kinds: readonly JobEvent['kind'][]) => events.some(e => kinds.includes(e.kind))
  switch (stage) {
    case 'as-found':
      return measured(stage)
    case 'as-left':
      return measured(stage) || isTouched(run)
    case 'findings':
      return entered('cause-confirmed', 'test-made')
    case 'repair':
      return entered('part-changed', 'part-tested', 'treated')
    case 'align':
      return measured('adjusting') || run.steps.some(s => s.confirmed !== null)
    case 'trials':
      return entered('trial-noted', 'set-altered')
    case 'soak':
      return measured('soak') || entered('soak-begun')
    default:
      return false
  }
}

/** The phase that comes next. */
export const nextStage = (stages: readonly Stage[], done: Readonly<Record<Stage, boolean>>): Stage =>
  stages.find(s => !done[s]) ?? 'handover'

/** It and all that come after it, whether something was entered there or not. */
export const stagesAhead = (
  stages: readonly Stage[],
  done: Readonly<Record<Stage, boolean>>,
): readonly Stage[] => stages.slice(stages.indexOf(nextStage(stages, done)))

/** Steps of which a job asks something: all, or those that were begun although its kind has none. */
export const stepsAsked = ({ jobKind, steps }: RunState): readonly StepState[] =>
  asksFor(jobKind, 'align')
    ? steps
    : steps.filter(s => s.confirmed !== null || s.wants.some(w => w.latest !== null))

/**
 * Whether a kind of job asks for every row of the sheet in a phase. A demonstration asks for none: what shows
 * that the set is as it was is chosen by whoever shows it.
 */
export const asksForRows = (kind: JobKind, stage: 'as-found' | 'as-left'): boolean =>
  kind !== 'demonstration' && asksFor(kind, stage)

const isRead = ({ cells }: RowState) => cells.some(c => c.latest !== null)

/** The same of the rows of one phase; what a demonstration found is read again as it was left. */
export function rowsAsked(
  { jobKind }: RunState,
  stage: 'as-found' | 'as-left',
  { asFound, asLeft }: { readonly asFound: readonly RowState[]; readonly asLeft: readonly RowState[] },
): readonly RowState[] {
  const rows = stage === 'as-found' ? asFound : asLeft
  if (asksForRows(jobKind, stage)) return rows
  const isAgain = jobKind === 'demonstration' && stage === 'as-left'
  const found = new Set(isAgain ? asFound.filter(isRead).map(r => r.point.id) : [])
  return rows.filter(r => isRead(r) || found.has(r.point.id))
}

/** Something was turned, replaced or treated. */
export const isTouched = ({ history, mendedAt, turnedElsewhere }: RunState): boolean =>
  history.turns.length > 0 || mendedAt >= 0 || turnedElsewhere.length > 0
