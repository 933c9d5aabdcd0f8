import { sheetsUsed } from '#core/run'
import { jobTag } from '#shared/jobTag'
import { incoherent } from '../check/checkEntries'
import type { Db } from '../db/pool'
import { selectSchemaVersion } from '../db/queries/check'
import { selectEvents } from '../db/queries/jobEvent'
import { insertRow, selectRows, type Row, type TransferTable } from '../db/queries/transfer'
import { takenIn } from './dryRun'
import { ArchiveError, bytesName, jobName, openArchive, readJson, tableName, type JobFile } from './archive'
import { eventsOf, problemsOfFiles, problemsOfJob } from './checkJobFile'
import { bytesOf, importJob, insertRowsOfJob, type JobOutcome, type Source } from './importJob'
import { insertSheets, revisionKey, ruleSetsToTake, sheetsToTake } from './importShared'

/** What an import did, or would do. */
export interface ImportReport {
  readonly jobs: readonly JobOutcome[]
  /** what else was taken in, and what was not, in words */
  readonly said: readonly string[]
}

/** More problems than this say no more. */
const MAX_TOLD = 20
/** Named by an id: what is here already stays. */
const BY_ID = ['drawer_part', 'blocked_period', 'saved_view'] as const
/** How this bench is set up: taken only by a workshop that has nothing of the kind. */
const SETTINGS = ['instrument', 'shop_choice'] as const

/**
 * Takes an archive into this workshop, all of it or nothing: what is not here is added, what is here stays.
 * Done twice it changes nothing the second time.
 * @param really false: everything is done, told, and undone
 * @throws {ArchiveError} in words: none, damaged, or with something in it that does not read
 */
export async function importWorkshop(
  folder: string,
  { really, isDemo }: { readonly really: boolean; readonly isDemo: boolean },
): Promise<ImportReport> {
  return takenIn(really, async db => {
    const source = { folder, manifest: await openArchive(folder, await selectSchemaVersion(db), isDemo) }
    await refuseProblems(source)
    return takeIn(db, source)
  })
}

async function refuseProblems(source: Source): Promise<void> {
  const { folder, manifest } = source
  const problems: string[] = []
  for (const id of manifest.jobs) {
    const file = readJson<JobFile>(folder, manifest, jobName(id))
    const found = await problemsOfJob(folder, manifest, file)
    problems.push(...found.map(p => `${jobTag(Number(file.job.number))}: ${p}`))
  }
  problems.push(...(await problemsOfFiles(folder, manifest, ofNoJob(source))))
  refuse(problems)
}

function refuse(problems: readonly string[]): void {
  if (problems.length === 0) return
  const more = problems.length > MAX_TOLD ? [`and ${problems.length - MAX_TOLD} more`] : []
  throw new ArchiveError(['The archive does not read:', ...problems.slice(0, MAX_TOLD), ...more].join('\n'))
}

async function takeIn(db: Db, source: Source): Promise<ImportReport> {
  const sheets = await sheetsToTake(db, rowsOf(source, 'sheet_revision'))
  const rules = await ruleSetsToTake(db, rowsOf(source, 'own_rule_set'))
  for (const row of rules.take) await insertRow(db, 'own_rule_set', row)
  const jobs: JobOutcome[] = []
  for (const id of source.manifest.jobs) {
    const file = readJson<JobFile>(source.folder, source.manifest, jobName(id))
    const { sheetId, sheetRevision, ruleSetId } = file.job
    const used = [{ sheetId, sheetRevision }, ...sheetsUsed(eventsOf(file))]
    const refusals = [
      ...used.map(s => sheets.refused.get(revisionKey(s.sheetId, s.sheetRevision))),
      rules.refused.get(String(ruleSetId)),
    ]
    const refusal = refusals.find(r => r !== undefined) ?? null
    jobs.push(await importJob(db, source, file, refusal))
  }
  const here = new Set(jobs.filter(j => j.kind !== 'refused').map(j => j.id))
  const said = [
    ...(await insertSheets(db, sheets, here)),
    ...rules.take.map(row => `rule set ${String(row.id)} taken in`),
    ...[...sheets.said, ...rules.said].map(words => `${words}: ours stays`),
    ...(await takeRest(db, source)),
  ]
  await refuseIncoherent(db, jobs)
  return { jobs, said }
}

/** What belongs to no job, and asks for nothing else. @returns what was taken, in words */
async function takeRest(db: Db, source: Source): Promise<string[]> {
  const said: string[] = []
  const tell = (what: string, added: number) => {
    if (added > 0) said.push(`${what}: ${added} taken in`)
  }
  let pictures = 0
  for (const row of rowsOf(source, 'sheet_picture'))
    if (await insertRow(db, 'sheet_picture', row, bytesOf(source, bytesName('sheet_picture', row.id))))
      pictures++
  tell('pictures of boards', pictures)
  for (const table of BY_ID) tell(WORDS[table], await insertRows(db, source, table))
  for (const table of SETTINGS)
    if ((await selectRows(db, table)).length === 0) tell(WORDS[table], await insertRows(db, source, table))
  tell('recordings and exercises without a job', await insertRowsOfJob(db, source, ofNoJob(source)))
  return said
}

const WORDS = {
  drawer_part: 'tests of parts',
  blocked_period: 'blocked days',
  saved_view: 'saved searches',
  instrument: 'instruments',
  shop_choice: 'choices between methods',
} as const

async function insertRows(db: Db, source: Source, table: TransferTable): Promise<number> {
  let added = 0
  for (const row of rowsOf(source, table)) if (await insertRow(db, table, row)) added++
  return added
}

/** Whatever is kept can be shown: nobody could open a job whose sheet or rule set is nowhere. */
async function refuseIncoherent(db: Db, jobs: readonly JobOutcome[]): Promise<void> {
  const problems: string[] = []
  for (const { id, kind } of jobs)
    if (kind === 'new' || kind === 'grown') {
      const why = await incoherent(db, id, (await selectEvents(db, [id])).get(id)!)
      if (why) problems.push(`job ${id}: the run cannot be put together: ${why}`)
    }
  refuse(problems)
}

const rowsOf = ({ folder, manifest }: Source, table: string) =>
  readJson<readonly Row[]>(folder, manifest, tableName(table))
const ofNoJob = (source: Source): JobFile['rows'] => ({
  recording: rowsOf(source, 'recording'),
  practice_session: rowsOf(source, 'practice_session'),
})
