import { createHash } from 'node:crypto'
import { createWriteStream, mkdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { inTransaction, type Db } from '../db/pool'
import { readChunks } from '../db/queries/attachment'
import { selectChains, selectJobIds, selectSchemaVersion } from '../db/queries/check'
import { selectEvents } from '../db/queries/jobEvent'
import { readRecordingChunks } from '../db/queries/recording'
import { selectBytes, selectRows, TABLES_OF_JOB, TABLES_OF_WORKSHOP, type Row } from '../db/queries/transfer'
import {
  bytesName,
  FORMAT,
  jobName,
  paperName,
  tableName,
  thumbnailName,
  VERSION,
  type JobFile,
  type Manifest,
} from './archive'

const PAGE = 100

/** Writes files of an archive and remembers what was written. */
class Writer {
  readonly files: Record<string, string> = {}
  constructor(private readonly folder: string) {}

  json(name: string, value: unknown): void {
    const text = `${JSON.stringify(value, null, 1)}\n`
    this.bytes(name, Buffer.from(text))
  }

  bytes(name: string, data: Buffer): void {
    writeFileSync(this.at(name), data)
    this.files[name] = createHash('sha256').update(data).digest('hex')
  }

  async pieces(name: string, pieces: AsyncIterable<Buffer>): Promise<void> {
    const hash = createHash('sha256')
    const counted = async function* () {
      for await (const piece of pieces) {
        hash.update(piece)
        yield piece
      }
    }
    await pipeline(Readable.from(counted()), createWriteStream(this.at(name)))
    this.files[name] = hash.digest('hex')
  }

  private at(name: string): string {
    const path = join(this.folder, name)
    mkdirSync(dirname(path), { recursive: true })
    return path
  }
}

/** Writes a workshop into an empty folder, as it is at one moment; work goes on meanwhile. */
export function exportWorkshop(folder: string, demo: boolean): Promise<Manifest> {
  return inTransaction(async db => {
    await db.query('set transaction isolation level repeatable read, read only')
    const writer = new Writer(folder)
    const jobs: string[] = []
    let entries = 0
    for (let last = 0, page = await selectJobIds(db, last, PAGE); page.length > 0;) {
      for (const { id, number } of page) {
        entries += await writeJob(db, writer, id)
        jobs.push(id)
        last = number
      }
      page = await selectJobIds(db, last, PAGE)
    }
    await writeTables(db, writer)
    const manifest: Manifest = {
      format: FORMAT,
      version: VERSION,
      schema: await selectSchemaVersion(db),
      exportedAt: new Date().toISOString(),
      demo,
      jobs,
      entries,
      files: { ...writer.files },
    }
    writer.json('manifest.json', manifest)
    return manifest
  })
}

/** @returns how many entries it has */
async function writeJob(db: Db, writer: Writer, id: string): Promise<number> {
  const events = (await selectEvents(db, [id])).get(id)!
  const chains = new Map((await selectChains(db, id)).map(c => [c.id, c.chain?.toString('hex') ?? null]))
  const rows: Record<string, Row[]> = {}
  for (const table of TABLES_OF_JOB) rows[table] = await selectRows(db, table, id)
  const [job] = await selectRows(db, 'job', id)
  const file: JobFile = {
    job: job!,
    entries: events.map(event => ({ event, chain: chains.get(event.id)! })),
    rows,
  }
  writer.json(jobName(id), file)
  await writeFilesOf(db, writer, rows)
  return events.length
}

async function writeFilesOf(db: Db, writer: Writer, rows: Readonly<Record<string, readonly Row[]>>) {
  for (const { id } of rows.attachment ?? []) {
    await writer.pieces(bytesName('attachment', id), readChunks(db, id as string))
    const thumbnail = await selectBytes(db, 'attachment', { id })
    if (thumbnail) writer.bytes(thumbnailName(id), thumbnail)
  }
  for (const { id } of rows.recording ?? [])
    await writer.pieces(bytesName('recording', id), readRecordingChunks(db, id as string))
  for (const { jobId, number } of rows.handover_paper ?? [])
    writer.bytes(paperName(jobId, number), (await selectBytes(db, 'handover_paper', { jobId, number }))!)
}

/** What belongs to no job. */
async function writeTables(db: Db, writer: Writer): Promise<void> {
  for (const table of TABLES_OF_WORKSHOP) writer.json(tableName(table), await selectRows(db, table))
  for (const { id } of await selectRows(db, 'sheet_picture'))
    writer.bytes(bytesName('sheet_picture', id), (await selectBytes(db, 'sheet_picture', { id }))!)
  const ofNoJob = {
    recording: await selectRows(db, 'recording', null),
    practice_session: await selectRows(db, 'practice_session', null),
  }
  for (const [table, rows] of Object.entries(ofNoJob)) writer.json(tableName(table), rows)
  await writeFilesOf(db, writer, ofNoJob)
}
