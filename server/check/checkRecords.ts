import { createHash } from 'node:crypto'
import { jobTag } from '#shared/jobTag'
import { pool } from '../db/pool'
import { readChunks } from '../db/queries/attachment'
import { selectChains, selectFiles, selectFrozen, selectJobIds } from '../db/queries/check'
import { selectEvents } from '../db/queries/jobEvent'
import { readRecordingChunks } from '../db/queries/recording'
import { brokenChain, incoherent, unreadable } from './checkEntries'

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
  const { broken, unchained } = brokenChain(await selectChains(pool, id), events)
  problems.push(...broken)
  for (const { number, record, checksum } of await selectFrozen(pool, id))
    if (createHash('sha256').update(record).digest('hex') !== checksum)
      problems.push(`handover ${number} is not the record that was frozen`)
  const why = await incoherent(pool, id, events)
  if (why) problems.push(`the run cannot be put together: ${why}`)
  return { entries: events.length, unchained, problems }
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
