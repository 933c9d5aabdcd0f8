import { randomUUID } from 'node:crypto'
import { addDays, formatISO } from 'date-fns'
import type { Claim } from '#core/claims'
import type { JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { inTransaction, type Db } from '../db/pool'
import { insertJob, saveBenchOrder, updateJob } from '../db/queries/job'
import { insertEvent, selectEvents } from '../db/queries/jobEvent'
import { indexJobs } from '../db/queries/jobIndex'
import { keepAmendment } from '../services/amendments'
import { freezeHandover } from '../services/freezeHandover'
import { requireSheet } from '../services/sheetBook'
import type { NewEvent } from './lookedAt'

const HOUR_MS = 3_600_000

/** A set of the made-up workshop. */
export interface DemoJob {
  readonly sheet: ModelSheet
  readonly owner: string
  readonly serial: string
  readonly complaint: string
  readonly claims?: Claim[]
  readonly accessories: string
  /** to the day it is promised for, past ones negative */
  readonly days: number
  readonly bench?: number
  readonly events: readonly NewEvent[]
}

/** Kept as the application would: with the sheet corrected on the way, and handed over if it was. */
export async function storeDemoJob(demo: DemoJob): Promise<void> {
  await inTransaction(async db => {
    const job = await insertDemoJob(db, demo)
    const { id } = job
    for (const event of demo.events) {
      const whole = { ...event, id: randomUUID() } as JobEvent
      await insertEvent(db, id, whole)
      if (whole.kind === 'sheet-amended') await keepAmendment(db, job, whole)
    }
    await indexJobs(db, [id])
    if (demo.bench) await saveBenchOrder(db, [{ id, bench: demo.bench }])
    const begunAtMs = demo.events[0]?.atMs
    if (begunAtMs !== undefined)
      await db.query('update job set created_at = to_timestamp($2::float8 / 1000) where id = $1::uuid', [
        id,
        begunAtMs - HOUR_MS,
      ])
    if (!demo.events.some(e => e.kind === 'handed-over')) return
    const stored = (await selectEvents(db, [id])).get(id)!
    await updateJob(db, id, { onBench: false }, null)
    await freezeHandover(db, job, stored, stored.at(-1)!)
  })
}

async function insertDemoJob(db: Db, demo: DemoJob) {
  const { sheet, owner, serial, complaint, claims = [], accessories, days } = demo
  const job = await insertJob(db, {
    id: randomUUID(),
    owner,
    contact: '',
    sheetId: sheet.id,
    sheetRevision: (await requireSheet(db, sheet.id)).revision,
    ruleSetId: sheet.defaultRuleSetId,
    serial,
    complaint,
    claims,
    accessories,
    boxNote: '',
    schools: {},
    mayDo: 'alignment, cleaning of presets; anything above that: ask',
    ownerLanguage: '',
    promisedOn: formatISO(addDays(Date.now(), days), { representation: 'date' }),
  })
  return job!
}
