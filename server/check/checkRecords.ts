import { createHash } from 'node:crypto'
import { runState, type JobEvent } from '#core/run'
import { jobEventBody } from '#shared/jobEvents'
import { authorBody } from '#shared/peopleBodies'
import { jobTag } from '#shared/jobTag'
import { errorWords } from '#shared/words/messageWords'
import { chained, eventDigest } from '../db/eventChain'
import { pool } from '../db/pool'
import { readChunks } from '../db/queries/attachment'
import { selectChains, selectFiles, selectFrozen, selectJobIds } from '../db/queries/check'
import { selectEvents } from '../db/queries/jobEvent'
import { selectJob } from '../db/queries/job'
import { readRecordingChunks } from '../db/queries/recording'
import { requireRules } from '../services/rules'
import { sheetOfJob } from '../services/sheetBook'

const PAGE = 100

/** What was looked at, and what is wrong, in words. */
export interface RecordsCheck {
  readonly jobs: number
  readonly entries: number
  /** entries that were stored before there was a chain: a change of them would not show */
  readonly unchained: number
  readonly files: number
  readonly problems: readonly string[]
}

/** Every entry readable, every chain unbroken, every frozen record and every file as it was stored. */
export async function checkRecords(): Promise<RecordsCheck> {
  const seen = { jobs: 0, entries: 0, unchained: 0, files: 0 }
  const problems: string[] = []
  for (let last = 0, page = await selectJobIds(pool, last, PAGE); page.length > 0;) {
    for (const { id, number } of page) {
      const checked = await checkJob(id)
      seen.jobs++
      seen.entries += checked.entries
      seen.unchained += checked.unchained
      problems.push(...checked.problems.map(p => `${jobTag(number)}: ${p}`))
      last = number
    }
    page = await selectJobIds(pool, last, PAGE)
  }
  for (const kept of ['attachment', 'recording'] as const) {
    const { files, problems: found } = await checkFiles(kept)
    seen.files += files
    problems.push(...found)
  }
  return { ...seen, problems }
}

async function checkJob(id: string) {
  const problems: string[] = []
  const events = (await selectEvents(pool, [id])).get(id)!
  for (const event of events) {
    const why = await unreadable(event)
    if (why) problems.push(`entry ${event.id} (${event.kind}) does not read: ${why}`)
  }
  const { broken, unchained } = await checkChain(id, events)
  problems.push(...broken)
  for (const { number, record, checksum } of await selectFrozen(pool, id))
    if (createHash('sha256').update(record).digest('hex') !== checksum)
      problems.push(`handover ${number} is not the record that was frozen`)
  const why = await incoherent(id, events)
  if (why) problems.push(`the run cannot be put together: ${why}`)
  return { entries: events.length, unchained, problems }
}

async function unreadable(event: JobEvent): Promise<string | null> {
  try {
    const { author, ...entered } = event
    await jobEventBody.validate(entered, { strict: true })
    if (author) await authorBody.validate(author, { strict: true })
    return null
  } catch (error) {
    return error instanceof Error ? error.message : String(error)
  }
}

/** Entries before the first one with a chain have none; from then on each has. */
async function checkChain(jobId: string, events: readonly JobEvent[]) {
  const byId = new Map(events.map(e => [e.id, e]))
  const broken: string[] = []
  let before: Buffer | null = null
  let unchained = 0
  for (const { id, chain } of await selectChains(pool, jobId)) {
    if (chain === null) {
      unchained++
      if (before) broken.push(`entry ${id} has no chain, and the one before it has`)
      continue
    }
    if (!chained(before, eventDigest(byId.get(id)!)).equals(chain))
      broken.push(`entry ${id} is not as it was stored, or one before it is missing`)
    before = chain
  }
  return { broken, unchained }
}

async function incoherent(jobId: string, events: readonly JobEvent[]): Promise<string | null> {
  try {
    const job = (await selectJob(pool, jobId))!
    runState(await sheetOfJob(pool, job, events), await requireRules(pool, job.ruleSetId), events)
    return null
  } catch (error) {
    return errorWords(error)
  }
}

async function checkFiles(kept: 'attachment' | 'recording') {
  const problems: string[] = []
  const files = await selectFiles(pool, kept)
  for (const { id, name, bytes, checksum } of files) {
    const hash = createHash('sha256')
    let found = 0
    for await (const chunk of kept === 'attachment' ? readChunks(pool, id) : readRecordingChunks(pool, id)) {
      hash.update(chunk)
      found += chunk.length
    }
    if (found !== bytes || hash.digest('hex') !== checksum)
      problems.push(`${kept} "${name}" (${id}) is not whole: ${found} of ${bytes} bytes, or changed`)
  }
  return { files: files.length, problems }
}
