import { message } from '../message'
import type { ByteSource } from './byteSource'
import { badRecording, type Recording } from './recording'
import { readSamples, type SampleLayout } from './samples'
import { parseSigmfMeta, type SigmfMeta } from './sigmfMeta'

const HASHED_AT_ONCE = 4 * 1024 * 1024

/**
 * A SigMF recording from its two parts.
 * @throws {CoreError} bad-recording: metadata or data that cannot be trusted, by field
 */
export async function openSigmf(metaSource: ByteSource, dataSource: ByteSource): Promise<Recording> {
  const meta = parseSigmfMeta(metaSource.name, await metaSource.read(0, metaSource.size))
  const layout: SampleLayout = {
    file: dataSource.name,
    source: dataSource,
    start: meta.headerBytes,
    type: meta.type,
    channels: meta.complex ? 2 : 1,
    complex: meta.complex,
  }
  const present = countSamples(meta, dataSource)
  if (meta.beginsAt >= present)
    throw badRecording(
      metaSource.name,
      'captures',
      message('recording.beginsBeyondEnd', { beginsAt: meta.beginsAt, present }),
    )
  if (meta.sha512 !== null && (await hashOf(dataSource)) !== meta.sha512)
    throw badRecording(dataSource.name, 'core:sha512', message('recording.hashDiffers'))
  return {
    file: dataSource.name,
    format: 'sigmf',
    kind: meta.complex ? 'iq' : 'real',
    datatype: meta.datatype,
    sampleRateHz: meta.sampleRateHz,
    sampleCount: meta.retunedAt === null ? present : Math.min(present, meta.retunedAt),
    centreHz: meta.centreHz,
    steps: meta.type.steps,
    annotations: meta.annotations,
    notes: meta.notes,
    read: (from, count, into) => readSamples(layout, from, count, into),
  }
}

function countSamples(meta: SigmfMeta, data: ByteSource): number {
  const bytes = data.size - meta.headerBytes - meta.trailingBytes
  const frame = meta.type.bytes * (meta.complex ? 2 : 1)
  if (bytes <= 0) throw badRecording(data.name, 'data', message('recording.empty'))
  if (bytes % frame !== 0)
    throw badRecording(data.name, 'data', message('recording.endsInsideSample', { bytes, frame }))
  const count = bytes / frame
  if (count < meta.saysSamples)
    throw badRecording(
      data.name,
      'data',
      message('recording.countDiffers', { count, saysSamples: meta.saysSamples }),
    )
  return count
}

async function hashOf(source: ByteSource): Promise<string> {
  // Few recordings tell their sum: its code is fetched when one does.
  const [{ sha512 }, { bytesToHex }] = await Promise.all([
    import('@noble/hashes/sha2'),
    import('@noble/hashes/utils'),
  ])
  const hash = sha512.create()
  for (let from = 0; from < source.size; from += HASHED_AT_ONCE)
    hash.update(await source.read(from, HASHED_AT_ONCE))
  return bytesToHex(hash.digest())
}
