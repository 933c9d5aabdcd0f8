import { messageWords } from '#shared/words/messageWords'
import type { Message } from '#core/message'
import { t, type MessageCode, translated } from '#shared/i18n'
import { randomUUID } from 'node:crypto'
import type { CoreErrorCode } from '#core/errors'
import { validEvents } from '#core/run'
import { LESSONS, reviewOf, type PracticeRecord } from '#core/practice'
import { BENCH_KITS } from '#core/practice/instruments'
import { RIG_FAULTS, preparedScenario, surpriseScenario, type Scenario } from '#core/rig'
import { modelSheet } from '#core/sheet'
import type { BenchSession, FreePractice, NewPractice, PracticeState } from '#shared/practice'
import type { PracticeNow, PracticeSession, PracticeSummary } from '#shared/practiceSession'
import { pool } from '../db/pool'
import { selectEvents } from '../db/queries/jobEvent'
import {
  finishPracticeRow,
  insertPractice,
  leaveOpenPractices,
  selectOpenPractice,
  selectPractice,
} from '../db/queries/practice'
import { ApiError } from '../utils/apiError'
import { startJob } from './jobs'
import { pointInstruments } from './simulatedInstruments'

/** Which field of a change a refusal of the bench belongs to. */
const FIELDS: Readonly<Partial<Record<CoreErrorCode, string>>> = {
  'unknown-channel': 'channel',
  'unknown-adjuster': 'adjusters',
  'unknown-item': 'replace',
  'unknown-sheet': 'designId',
}
const AWAY = 'server.noSimulatorIsRunningBesideThis' satisfies MessageCode

/** Whether a simulated bench was started beside this server; it may be away for a moment all the same. */
export const hasBench = (): boolean => process.env.BENCH_URL !== undefined

function benchUrl(): string {
  const url = process.env.BENCH_URL
  if (!url) throw new ApiError(503, 'bench-away', AWAY)
  return url
}

/** Speaks to the simulated bench, if one runs beside this server. */
export async function benchRequest<T = PracticeState>(
  path: '/state' | '/change' | '/session' | '/record',
  body?: unknown,
): Promise<T> {
  const response = await fetch(
    benchUrl() + path,
    body === undefined
      ? {}
      : { method: 'POST', body: JSON.stringify(body), headers: { 'content-type': 'application/json' } },
  ).catch(() => {
    throw new ApiError(503, 'bench-away', t('server.theSimulatorDoesNotRespond'))
  })
  if (response.ok) return (await response.json()) as T
  const refusal = (await response.json()) as {
    message: string
    says: Message | null
    code: CoreErrorCode
  }
  const message = refusal.says ? messageWords(refusal.says) : refusal.message
  const { code } = refusal
  throw response.status === 400
    ? new ApiError(400, code, message, FIELDS[code] ?? null)
    : new ApiError(502, 'bench-away', message)
}

/** What the dongle on the simulated bench records now: interleaved 32-bit floats. */
export async function benchRecording(): Promise<{
  readonly bytes: Buffer
  readonly rateHz: number
  readonly centreHz: number
}> {
  const response = await fetch(`${benchUrl()}/recording`).catch(() => {
    throw new ApiError(503, 'bench-away', t('server.theSimulatorDoesNotRespond'))
  })
  if (!response.ok) throw new ApiError(502, 'bench-away', t('server.theSimulatedSetCouldNotBe'))
  return {
    bytes: Buffer.from(await response.arrayBuffer()),
    rateHz: Number(response.headers.get('x-rate-hz')),
    centreHz: Number(response.headers.get('x-centre-hz')),
  }
}

export async function practiceNow(): Promise<PracticeNow> {
  const [state, open] = [await benchRequest('/state'), await selectOpenPractice(pool)]
  return { ...state, open }
}

/**
 * Puts a case or lesson on the bench, points the instruments at it, and opens a job for it. The same id again
 * gives the same.
 */
export async function startPractice(wanted: NewPractice): Promise<PracticeSummary> {
  const there = await selectPractice(pool, wanted.id)
  if (there) return there
  const lesson = wanted.lessonId ? LESSONS.find(l => l.id === wanted.lessonId) : null
  if (wanted.choice === 'lesson' && !lesson)
    throw new ApiError(400, 'unknown-item', t('server.chooseOneOfTheLessons'))
  if (!BENCH_KITS.some(k => k.id === wanted.kitId))
    throw new ApiError(400, 'unknown-item', t('server.chooseOneOfTheBenches'))
  const scenario = lesson ? null : scenarioFor(wanted)
  const kitId = lesson ? lesson.kitId : wanted.kitId
  const session: BenchSession = lesson
    ? { lessonId: lesson.id, kitId }
    : { designId: scenario!.designId, faultIds: [...scenario!.faultIds], seed: scenario!.seed, kitId }
  await pointInstruments(pool, await benchRequest('/session', session))
  const job = await startJob(
    randomUUID(),
    jobFor(
      lesson ? lesson.designId : scenario!.designId,
      scenario,
      wanted.trainee,
      lesson ? translated(lesson.what) : '',
    ),
  )
  await leaveOpenPractices(pool)
  await insertPractice(pool, {
    id: wanted.id,
    trainee: wanted.trainee,
    designId: job.sheetId,
    lessonId: lesson?.id ?? null,
    kitId,
    scenario: scenario ?? { difficulty: 1, faultIds: [] },
    jobId: job.id,
  })
  return (await selectPractice(pool, wanted.id))!
}

/** A set on the bench without a case: whatever was open ends without a review. */
export async function freeSet({ designId, kitId, seed }: FreePractice): Promise<PracticeNow> {
  const { faultIds } = preparedScenario(designId, seed)
  await pointInstruments(
    pool,
    await benchRequest('/session', { designId, faultIds: [...faultIds], seed, kitId, told: true }),
  )
  await leaveOpenPractices(pool)
  return practiceNow()
}

function scenarioFor({ choice, designId, seed, difficulty }: NewPractice): Scenario {
  if (choice === 'prepared' && !designId)
    throw new ApiError(400, 'unknown-sheet', t('server.chooseAModel'), 'designId')
  return choice === 'prepared'
    ? preparedScenario(designId!, seed)
    : surpriseScenario(seed, difficulty as 1 | 2 | 3, designId)
}

function jobFor(designId: string, scenario: Scenario | null, trainee: string, what: string) {
  const sheet = modelSheet(designId)
  return {
    owner: t('server.practiceOwner', { owner: scenario?.owner ?? t('server.practiceLesson') }),
    contact: t('server.practisedBy', { trainee }),
    sheetId: sheet.id,
    ruleSetId: sheet.defaultRuleSetId,
    serial: `P-${String(scenario?.seed ?? 0)}`,
    complaint: scenario?.complaint ?? what,
    claims: [],
    accessories: t('server.simulatedSet'),
    boxNote: '',
    mayDo: 'everything',
    ownerLanguage: '' as const,
    promisedOn: null,
  }
}

/** Ends a case: what was wrong is told, and how it was worked. Finished twice gives the same review. */
export async function finishPractice(id: string, ticked: readonly string[]): Promise<PracticeSession> {
  const session = await selectPractice(pool, id)
  if (!session) throw new ApiError(404, 'unknown-practice', t('server.exerciseNotFound'))
  if (session.finishedAtMs === null) {
    const raw = await benchRequest<Omit<PracticeRecord, 'named' | 'rowsBeforeFirstTurn'>>('/record')
    if (raw.scenario.designId !== session.designId)
      throw new ApiError(409, 'changed-meanwhile', t('server.anotherSetIsOnTheBench'))
    const named = [...new Set([...ticked, ...(await confirmedFaults(session.jobId, session.designId))])]
    const record: PracticeRecord = {
      ...raw,
      named,
      rowsBeforeFirstTurn: session.jobId ? await rowsBeforeFirstTurn(session.jobId, raw) : null,
    }
    await finishPracticeRow(pool, id, named, record, reviewOf(record, modelSheet(session.designId)))
  }
  return (await selectPractice(pool, id))!
}

/** The entries of a job that count; none where there is no job. */
const countedEvents = async (jobId: string | null) =>
  jobId === null ? [] : validEvents((await selectEvents(pool, [jobId])).get(jobId) ?? [])

/** A cause confirmed among the findings of the job names the fault as well. */
async function confirmedFaults(jobId: string | null, designId: string): Promise<string[]> {
  const events = await countedEvents(jobId)
  const causes = events.flatMap(e => (e.kind === 'cause-confirmed' ? [e.causeId] : []))
  return RIG_FAULTS.filter(
    f => f.designIds.includes(designId) && f.causeIds.some(c => causes.includes(c)),
  ).map(f => f.id)
}

async function rowsBeforeFirstTurn(
  jobId: string,
  { log }: Pick<PracticeRecord, 'log'>,
): Promise<number | null> {
  const first = log.find(l => l.action.kind === 'turn')
  const events = await countedEvents(jobId)
  return first
    ? events.filter(e => e.kind === 'row-taken' && e.phase === 'as-found' && e.atMs < first.atMs).length
    : null
}
