import type { JobEvent } from '#core/run'
import { jobState } from '#core/work'
import { jobEventBody } from '#shared/jobEvents'
import { authorBody } from '#shared/peopleBodies'
import { errorWords } from '#shared/words/messageWords'
import { chained, eventDigest } from '../db/eventChain'
import type { Db } from '../db/pool'
import { selectJob } from '../db/queries/job'
import { rulesOfJob } from '../services/rules'
import { sheetsOfJob } from '../services/sheetBook'

/** Why an entry does not read; null = it does. */
export async function unreadable(event: JobEvent): Promise<string | null> {
  try {
    // Both are said by the server: no body that is sent has them.
    const { author, unreleased, ...entered } = event
    if (unreleased !== undefined && unreleased !== true) return 'unreleased: true, or not there'
    await jobEventBody.validate(entered, { strict: true })
    if (author) await authorBody.validate(author, { strict: true })
    return null
  } catch (error) {
    return error instanceof Error ? error.message : String(error)
  }
}

/** Chain of an entry; null = stored before there was one. */
export interface Link {
  readonly id: string
  readonly chain: Buffer | null
}

/** Entries before the first one with a chain have none; from then on each has. */
export function brokenChain(chains: readonly Link[], events: readonly JobEvent[]) {
  const byId = new Map(events.map(e => [e.id, e]))
  const broken: string[] = []
  let before: Buffer | null = null
  let unchained = 0
  for (const { id, chain } of chains) {
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

/** Why the run of a job cannot be put together; null = it can. */
export async function incoherent(db: Db, jobId: string, events: readonly JobEvent[]): Promise<string | null> {
  try {
    const job = (await selectJob(db, jobId))!
    const sheets = await sheetsOfJob(db, job, events)
    jobState(sheets.now, await rulesOfJob(db, job, sheets), events, sheets.found)
    return null
  } catch (error) {
    return errorWords(error)
  }
}
