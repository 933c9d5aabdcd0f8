import { message } from '../message'
import type { Unzipped } from 'fflate'
import { bytesSource, sliceSource, type ByteSource } from './byteSource'
import { badRecording } from './recording'

const BLOCK = 512
const MAX_MEMBERS = 200
/** A ZIP is unpacked in memory: what would come out larger than this is refused before it is unpacked. */
const MAX_UNPACKED_BYTES = 1024 * 1024 * 1024

/**
 * The members of a tar archive, where they lie in it; nothing is copied. POSIX ustar: name, octal size at
 * byte 124, type at 156.
 * @throws {CoreError} bad-recording: no tar archive, or cut
 */
export async function tarMembers(source: ByteSource): Promise<ByteSource[]> {
  const members: ByteSource[] = []
  for (let at = 0; at + BLOCK <= source.size && members.length < MAX_MEMBERS;) {
    const header = await source.read(at, BLOCK)
    if (header.every(b => b === 0)) break
    if (!checksumHolds(header))
      throw badRecording(source.name, 'archive', message('recording.notTarHeader', { at }))
    const size = Number.parseInt(textOf(header, 124, 12), 8)
    if (!(size >= 0) || at + BLOCK + size > source.size)
      throw badRecording(
        source.name,
        'archive',
        message('recording.memberTruncated', { textOf: textOf(header, 0, 100) }),
      )
    const kind = header[156]!
    if (kind === 0 || kind === 0x30)
      members.push(sliceSource(source, baseName(textOf(header, 0, 100)), at + BLOCK, size))
    at += BLOCK + Math.ceil(size / BLOCK) * BLOCK
  }
  return members
}

function checksumHolds(header: Uint8Array): boolean {
  const said = Number.parseInt(textOf(header, 148, 8), 8)
  let sum = 0
  for (let n = 0; n < BLOCK; n++) sum += n >= 148 && n < 156 ? 0x20 : header[n]!
  return sum === said
}

function textOf(bytes: Uint8Array, from: number, length: number): string {
  const field = bytes.subarray(from, from + length)
  const end = field.indexOf(0)
  return new TextDecoder().decode(end < 0 ? field : field.subarray(0, end)).trim()
}

const baseName = (path: string) => path.slice(path.lastIndexOf('/') + 1)

/**
 * The SigMF members of a ZIP archive, unpacked.
 * @throws {CoreError} bad-recording: damaged, or larger unpacked than memory should hold
 */
export async function zipMembers(source: ByteSource): Promise<ByteSource[]> {
  if (source.size > MAX_UNPACKED_BYTES)
    throw badRecording(source.name, 'archive', message('recording.over1Gb'))
  const bytes = await source.read(0, source.size)
  const { unzip } = await import('fflate')
  let unpacked = 0
  const wanted = (file: { name: string; originalSize: number }) =>
    /\.sigmf-(meta|data)$/.test(file.name) && (unpacked += file.originalSize) <= MAX_UNPACKED_BYTES
  const files = await new Promise<Unzipped>((done, fail) => {
    unzip(bytes, { filter: wanted }, (error, data) =>
      error ? fail(badRecording(source.name, 'archive', message('recording.damagedZip'))) : done(data),
    )
  })
  if (unpacked > MAX_UNPACKED_BYTES)
    throw badRecording(source.name, 'archive', message('recording.unpacksOver1Gb'))
  return Object.entries(files).map(([name, data]) => bytesSource(baseName(name), data))
}

/** The one recording in an archive. @throws {CoreError} bad-recording: none, or several */
export function pairIn(
  archive: string,
  members: readonly ByteSource[],
): { meta: ByteSource; data: ByteSource } {
  const metas = members.filter(m => m.name.endsWith('.sigmf-meta'))
  if (metas.length !== 1)
    throw badRecording(
      archive,
      'archive',
      metas.length === 0
        ? message('recording.noMetadataInside')
        : message('recording.severalInside', { count: metas.length }),
    )
  const data = members.find(m => m.name === metas[0]!.name.replace(/meta$/, 'data'))
  if (!data)
    throw badRecording(archive, 'archive', message('recording.noDataInside', { name: metas[0]!.name }))
  return { meta: metas[0]!, data }
}
