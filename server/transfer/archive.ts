import { createHash } from 'node:crypto'
import { createReadStream, existsSync, lstatSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { JobEvent } from '#core/run'
import type { Row } from '../db/queries/transfer'

/**
 * A workshop as one archive of JSON and files, unpacked in a folder; docs/formats/workshop-archive.md is
 * where it is described for others.
 */
export const FORMAT = 'diapason-workshop'
export const VERSION = 1

export interface Manifest {
  readonly format: typeof FORMAT
  readonly version: number
  /** newest migration of the database that it came from */
  readonly schema: number
  readonly exportedAt: string
  /** made-up jobs: they do not enter a workshop */
  readonly demo: boolean
  readonly jobs: readonly string[]
  readonly entries: number
  /** SHA-256 of every other file of the archive, by its name */
  readonly files: Readonly<Record<string, string>>
}

/** Everything of one job but its files. */
export interface JobFile {
  readonly job: Row
  /** in order; the chain in hexadecimal, null for what was stored before there was one */
  readonly entries: readonly { readonly event: JobEvent; readonly chain: string | null }[]
  readonly rows: Readonly<Record<string, readonly Row[]>>
}

export const jobName = (id: string) => `jobs/${id}.json`
export const tableName = (table: string) => `workshop/${table}.json`
/** Bytes of a photo, voice note, recording or picture of a board. */
export const bytesName = (table: 'attachment' | 'recording' | 'sheet_picture', id: unknown) =>
  `${table}/${String(id)}`
export const thumbnailName = (id: unknown) => `thumbnail/${String(id)}`
export const paperName = (jobId: unknown, number: unknown) => `paper/${String(jobId)}-${String(number)}.pdf`
/** Whatever else it may be called, a file of an archive lies in one folder of it. */
const NAME = /^[a-z_]+\/\w[\w.-]*$/

/** What is wrong with an archive, in words; nothing was changed. */
export class ArchiveError extends Error {}

/**
 * An archive that was unpacked, whole as it was written.
 * @param isDemo whether it is to be taken into the demo
 * @throws {ArchiveError} none, of a newer version, of the demo, or not whole
 */
export async function openArchive(folder: string, schema: number, isDemo: boolean): Promise<Manifest> {
  const manifest = manifestOf(folder)
  if (manifest?.format !== FORMAT) throw new ArchiveError('This is no archive of a workshop.')
  if (manifest.version > VERSION || manifest.schema > schema)
    throw new ArchiveError('The archive was made by a newer Diapason. Update this one first.')
  if (manifest.demo && !isDemo)
    throw new ArchiveError('The archive holds the demo, with made-up jobs: they do not enter a workshop.')
  for (const [name, sum] of Object.entries(manifest.files)) {
    if (!NAME.test(name)) throw new ArchiveError(`The archive names a file that it cannot have: ${name}`)
    if (!isPlain(join(folder, name))) throw new ArchiveError(`The archive is not whole: ${name} is missing.`)
    if ((await sha256(join(folder, name))) !== sum)
      throw new ArchiveError(`The archive is damaged: ${name} is not as it was written.`)
  }
  return manifest
}

function manifestOf(folder: string): Manifest | null {
  try {
    return JSON.parse(readFileSync(join(folder, 'manifest.json'), 'utf8')) as Manifest
  } catch {
    return null
  }
}

/** A link could lead anywhere on this machine. */
const isPlain = (path: string) => existsSync(path) && lstatSync(path).isFile()

/** One of the files that the manifest names. */
export function readJson<T>(folder: string, manifest: Manifest, name: string): T {
  return JSON.parse(readFileSync(listed(folder, manifest, name), 'utf8')) as T
}

/** @throws {ArchiveError} when the manifest does not name it: what it does not name was not proved */
export function listed(folder: string, manifest: Manifest, name: string): string {
  if (!Object.hasOwn(manifest.files, name))
    throw new ArchiveError(`The archive is not whole: ${name} is missing.`)
  return join(folder, name)
}

export async function sha256(path: string): Promise<string> {
  const hash = createHash('sha256')
  for await (const piece of createReadStream(path)) hash.update(piece as Buffer)
  return hash.digest('hex')
}
