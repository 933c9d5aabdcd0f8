import { message } from '../message'
import type { ByteSource } from './byteSource'
import { badRecording, type Recording, type RecordingNote } from './recording'
import { readSamples, type SampleLayout } from './samples'
import { sampleType, type SampleType } from './sampleTypes'

const PCM = 1
const FLOAT = 3
const EXTENSIBLE = 0xfffe
/** A recorder that never came to the end leaves one of these as the size of the data. */
const NEVER_FIXED = [0, 0xffffffff, 0x7fffffff] as const
const MAX_CHUNKS = 1000

interface Header {
  readonly format: number
  readonly channels: number
  readonly rate: number
  readonly align: number
  readonly bits: number
}

/**
 * A WAV recording (RIFF or RF64, PCM 8, 16, 24, 32 bits or float 32, 64): two channels are I and Q, one is
 * sound unless said otherwise. Read by place, so that an hour of it costs no memory; packages that read WAV
 * hold it whole.
 * @throws {CoreError} bad-recording: wrong, cut or compressed header, no samples
 */
export async function openWav(source: ByteSource, monoIs: 'audio' | 'real' = 'audio'): Promise<Recording> {
  const riff = await source.read(0, 12)
  const is = (bytes: Uint8Array, at: number, name: string) =>
    bytes.length >= at + 4 && [...name].every((c, i) => bytes[at + i] === c.charCodeAt(0))
  const rf64 = is(riff, 0, 'RF64')
  if (!(is(riff, 0, 'RIFF') || rf64) || !is(riff, 8, 'WAVE'))
    throw badRecording(source.name, 'header', message('recording.notWav'))
  let header: Header | null = null
  for (let at = 12, n = 0; at + 8 <= source.size && n < MAX_CHUNKS; n++) {
    const head = await source.read(at, 8)
    const size = new DataView(head.buffer, head.byteOffset, 8).getUint32(4, true)
    if (is(head, 0, 'fmt ')) header = parseFormat(source.name, await source.read(at + 8, Math.min(size, 40)))
    if (is(head, 0, 'data')) {
      if (!header) throw badRecording(source.name, 'header', message('recording.noFormatBeforeData'))
      return recordingOf(source, header, at + 8, size, rf64, monoIs)
    }
    at += 8 + size + (size & 1)
  }
  throw badRecording(
    source.name,
    header ? 'data' : 'header',
    header ? message('recording.endsBeforeData') : message('recording.noFormat'),
  )
}

function parseFormat(file: string, bytes: Uint8Array): Header {
  if (bytes.length < 16) throw badRecording(file, 'header', message('recording.formatTruncated'))
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length)
  const tag = view.getUint16(0, true)
  const format = tag === EXTENSIBLE && bytes.length >= 26 ? view.getUint16(24, true) : tag
  const header = {
    format,
    channels: view.getUint16(2, true),
    rate: view.getUint32(4, true),
    align: view.getUint16(12, true),
    bits: view.getUint16(14, true),
  }
  if (format !== PCM && format !== FLOAT)
    throw badRecording(file, 'header', message('recording.formatUnknown', { format }))
  if (header.channels < 1 || header.channels > 2)
    throw badRecording(
      file,
      'header',
      message('recording.channelsNotOneOrTwo', { channels: header.channels }),
    )
  if (header.rate < 1) throw badRecording(file, 'header', message('recording.rateZero'))
  if (header.align !== (header.channels * header.bits) / 8)
    throw badRecording(
      file,
      'header',
      message('recording.frameDoesNotFit', {
        align: header.align,
        channels: header.channels,
        bits: header.bits,
      }),
    )
  return header
}

function typeOf(file: string, { format, bits }: Header): SampleType {
  const integer = bits === 8 ? 'u8' : `i${bits}_le`
  const name = format === FLOAT ? `f${bits}_le` : integer
  const type = sampleType(name)
  if (!type)
    throw badRecording(
      file,
      'header',
      message('recording.bitsNotSupported', { bits, what: format === FLOAT ? 'float' : 'integer' }),
    )
  return type
}

function recordingOf(
  source: ByteSource,
  header: Header,
  start: number,
  said: number,
  rf64: boolean,
  monoIs: 'audio' | 'real',
): Recording {
  const type = typeOf(source.name, header)
  const there = source.size - start
  const notFixed = rf64 ? false : (NEVER_FIXED as readonly number[]).includes(said)
  const bytes = notFixed || rf64 ? there : Math.min(said, there)
  const count = Math.floor(bytes / header.align)
  if (count === 0) throw badRecording(source.name, 'data', message('recording.empty'))
  const complex = header.channels === 2
  const layout: SampleLayout = { file: source.name, source, start, type, channels: header.channels, complex }
  return {
    file: source.name,
    format: 'wav',
    kind: complex ? 'iq' : monoIs,
    datatype: `${complex ? 'c' : 'r'}${type.name}`,
    sampleRateHz: header.rate,
    sampleCount: count,
    centreHz: null,
    steps: type.steps,
    annotations: [],
    notes: notes(said, there, notFixed, rf64, bytes % header.align !== 0, complex),
    read: (from, length, into) => readSamples(layout, from, length, into),
  }
}

function notes(
  said: number,
  there: number,
  notFixed: boolean,
  rf64: boolean,
  cutInside: boolean,
  complex: boolean,
): RecordingNote[] {
  return [
    ...(notFixed && there > 0
      ? [
          {
            code: 'size-never-fixed',
            says: message('recording.lengthNotWritten'),
          },
        ]
      : []),
    ...((!notFixed && !rf64 && said > there) || cutInside
      ? [
          {
            code: 'cut-at-the-end',
            says: message('recording.fileEndsEarly', { there, said }),
          },
        ]
      : []),
    ...(complex
      ? [
          {
            code: 'no-centre-frequency',
            says: message('recording.noFrequencyInWav'),
          },
        ]
      : []),
  ]
}
