import { oldRecords, type OldRecord } from '#core/record'
import { planOf, usualRules } from '#core/rules'
import type { JobEvent } from '#core/run'
import { intakeBody } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import { incoherent, unreadable } from '../check/checkEntries'
import type { Db } from '../db/pool'
import { insertEvent, selectEvents } from '../db/queries/jobEvent'
import { markForIndex } from '../db/queries/jobIndex'
import { selectJob } from '../db/queries/job'
import { freeNumber, insertRow } from '../db/queries/transfer'
import { selectUsualRuleSetId } from '../db/queries/workshop'
import { everyRuleSet } from '../services/rules'
import { everySheet } from '../services/sheetBook'
import { takenIn } from './dryRun'
import { eventsOf, intakeOf, jobIdOf } from './oldJob'
import { problemWords, QUANTITIES_BY_NAME, readTable } from './readTable'

/** What a table became, or would become, in words. */
export interface RecordsReport {
  readonly said: readonly string[]
  readonly taken: number
  readonly here: number
  /** visits with rows that could not be read */
  readonly problems: readonly string[]
}

/**
 * Takes in visits of sets from a table that was kept before: each becomes a job that was handed over, marked
 * as an old record. Readings stand in the rows of the sheet where the table names one, else in a note.
 * @param really false: everything is done, told, and undone
 * @throws {ArchiveError} no table
 */
export async function importRecords(file: string, really: boolean): Promise<RecordsReport> {
  const rows = readTable(file)
  return takenIn(really, async db => {
    const ruleSetOf = await usualRuleSets(db)
    const { records, problems } = oldRecords(rows, {
      sheets: await everySheet(db),
      quantities: QUANTITIES_BY_NAME,
      nowMs: Date.now(),
    })
    const told = problems.map(problemWords)
    const outcomes = []
    for (const record of records.toSorted((a, b) => a.receivedMs - b.receivedMs)) {
      const outcome = await takeIn(db, record, ruleSetOf(record))
      if (outcome.problem === null) outcomes.push(outcome)
      else told.push(outcome.problem)
    }
    return {
      said: outcomes.map(o => o.words),
      taken: outcomes.filter(o => o.isNew).length,
      here: outcomes.filter(o => !o.isNew).length,
      problems: told,
    }
  })
}

async function takeIn(db: Db, record: OldRecord, ruleSetId: string) {
  const { owner, sheet, serial, receivedMs, rows } = record
  const day = new Date(receivedMs).toISOString().slice(0, 10)
  const id = jobIdOf(record)
  const name = `${sheet.model} ${serial}, ${day}, ${owner}`
  const here = await selectJob(db, id)
  const known = { isNew: false, problem: null }
  if (here)
    return { ...known, words: `${name}: is here already as ${jobTag(here.number)}, nothing was changed` }
  const events = eventsOf(record, id)
  const why = await refusalOf(record, events)
  const problem = (words: string) => ({
    isNew: false,
    words: '',
    problem: `rows ${rows.join(', ')}: ${words}`,
  })
  if (why) return problem(why)
  const number = await freeNumber(db)
  await insertRow(db, 'job', {
    ...intakeOf(record),
    id,
    number,
    ruleSetId,
    sheetRevision: sheet.revision,
    schools: sheet.schools ?? {},
    onBench: false,
    createdAt: new Date(receivedMs).toISOString(),
  })
  for (const event of events) await insertEvent(db, id, event)
  await markForIndex(db, id)
  const apart = await incoherent(db, id, (await selectEvents(db, [id])).get(id)!)
  if (apart) throw new Error(`rows ${rows.join(', ')}: ${apart}`)
  const placed = record.readings.filter(r => r.point !== null).length
  const words =
    `${jobTag(number)}  ${name}: ${placed} readings in rows of the sheet, ` +
    `${record.readings.length - placed} in a note`
  return { isNew: true, words, problem: null }
}

async function refusalOf(record: OldRecord, events: readonly JobEvent[]): Promise<string | null> {
  try {
    await intakeBody.validate({ ...intakeOf(record), ruleSetId: '-' })
  } catch (error) {
    return error instanceof Error ? error.message : String(error)
  }
  for (const event of events) {
    const why = await unreadable(event)
    if (why) return why
  }
  return null
}

/** What old records of a model are judged by: as a new job would be. */
async function usualRuleSets(db: Db): Promise<(record: OldRecord) => string> {
  const rules = await everyRuleSet(db)
  const workshop = rules.get((await selectUsualRuleSetId(db)) ?? '') ?? null
  return ({ sheet }) =>
    usualRules(workshop, rules.get(sheet.defaultRuleSetId) ?? null, planOf(sheet))?.id ??
    sheet.defaultRuleSetId
}
