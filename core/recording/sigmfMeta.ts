import { message } from '../message'
import { badRecording, type Annotation, type RecordingNote } from './recording'
import { sampleType, type SampleType } from './sampleTypes'

/** What the metadata of a SigMF recording says, checked. SigMF specification 1.2 (names from memory). */
export interface SigmfMeta {
  readonly complex: boolean
  readonly datatype: string
  readonly type: SampleType
  readonly sampleRateHz: number
  readonly dataset: string | null
  readonly sha512: string | null
  readonly headerBytes: number
  readonly trailingBytes: number
  readonly centreHz: number | null
  /** first sample after a retune, or null */
  readonly retunedAt: number | null
  /** sample at which the first capture begins */
  readonly beginsAt: number
  /** last sample that the metadata speaks of, exclusive; 0 = none */
  readonly saysSamples: number
  readonly annotations: readonly Annotation[]
  readonly notes: readonly RecordingNote[]
}

type Fields = Readonly<Record<string, unknown>>

const DATATYPE = /^([cr])(f32|f64|i32|i16|u16|i8|u8)(?:_(le|be))?$/
const MAX_META_BYTES = 16 * 1024 * 1024
const MAX_RATE_HZ = 1e11

/** @throws {CoreError} bad-recording, by field */
export function parseSigmfMeta(file: string, bytes: Uint8Array): SigmfMeta {
  const root = parseJson(file, bytes)
  const global = record(file, root.global, 'global')
  const { complex, type, datatype } = datatypeOf(file, global)
  const channels = integer(file, global, 'core:num_channels') ?? 1
  if (channels !== 1)
    throw badRecording(file, 'core:num_channels', message('recording.severalChannels', { channels }))
  const dataset = text(file, global, 'core:dataset')
  if (dataset !== null && (/[\\/]/.test(dataset) || dataset.startsWith('.')))
    throw badRecording(
      file,
      'core:dataset',
      message('recording.outsideFolder', { dataset: dataset.slice(0, 80) }),
    )
  const sha512 = text(file, global, 'core:sha512')
  if (sha512 !== null && !/^[0-9a-f]{128}$/i.test(sha512))
    throw badRecording(file, 'core:sha512', message('recording.notSha512'))
  return {
    complex,
    type,
    datatype,
    dataset,
    sha512: sha512?.toLowerCase() ?? null,
    sampleRateHz: rateOf(file, global),
    trailingBytes: integer(file, global, 'core:trailing_bytes') ?? 0,
    ...captures(file, root.captures),
    ...annotationsOf(file, root.annotations, root.captures),
  }
}

function parseJson(file: string, bytes: Uint8Array): Fields {
  if (bytes.length > MAX_META_BYTES)
    throw badRecording(file, 'metadata', message('recording.notMetadata', { count: bytes.length }))
  let parsed: unknown
  try {
    parsed = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    throw badRecording(file, 'metadata', message('recording.notJson'))
  }
  return record(file, parsed, 'metadata')
}

function record(file: string, value: unknown, field: string): Fields {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw badRecording(
      file,
      field,
      value === undefined ? message('recording.missing') : message('recording.notAnObject'),
    )
  return value as Fields
}

function list(file: string, value: unknown, field: string): Fields[] {
  if (value === undefined) return []
  if (!Array.isArray(value)) throw badRecording(file, field, message('recording.notAList'))
  return value.map((entry, i) => record(file, entry, `${field}[${i}]`))
}

function datatypeOf(file: string, global: Fields): { complex: boolean; type: SampleType; datatype: string } {
  const datatype = text(file, global, 'core:datatype')
  if (datatype === null) throw badRecording(file, 'core:datatype', message('recording.missing'))
  const match = DATATYPE.exec(datatype)
  const narrow = match?.[2] === 'i8' || match?.[2] === 'u8'
  const type =
    match && (narrow ? match[3] === undefined : match[3] !== undefined)
      ? sampleType(narrow ? match[2]! : `${match[2]}_${match[3]}`)
      : null
  if (!match || !type)
    throw badRecording(
      file,
      'core:datatype',
      message('recording.typeNotSupported', { datatype: datatype.slice(0, 40) }),
    )
  return { complex: match[1] === 'c', type, datatype }
}

function rateOf(file: string, global: Fields): number {
  const rate = global['core:sample_rate']
  if (rate === undefined || rate === null)
    throw badRecording(file, 'core:sample_rate', message('recording.missing'))
  if (typeof rate !== 'number' || !(rate > 0 && rate <= MAX_RATE_HZ))
    throw badRecording(
      file,
      'core:sample_rate',
      message('recording.notARate', { stringify: JSON.stringify(rate).slice(0, 40) }),
    )
  return rate
}

function captures(
  file: string,
  value: unknown,
): Pick<SigmfMeta, 'headerBytes' | 'centreHz' | 'retunedAt' | 'beginsAt' | 'notes'> {
  const all = list(file, value, 'captures').map((fields, i) => ({
    i,
    fields,
    start: integer(file, fields, 'core:sample_start') ?? 0,
    centreHz: number(file, fields, 'core:frequency'),
  }))
  if (all.some((c, i) => i > 0 && c.start < all[i - 1]!.start))
    throw badRecording(file, 'captures', message('recording.notInOrder'))
  if (all.some(c => c.i > 0 && (integer(file, c.fields, 'core:header_bytes') ?? 0) > 0))
    throw badRecording(file, 'core:header_bytes', message('recording.headersBetween'))
  const first = all[0]
  const other = all.find(c => c.i > 0 && c.centreHz !== null && c.centreHz !== first?.centreHz && c.start > 0)
  const centreHz = first?.centreHz ?? null
  return {
    headerBytes: first ? (integer(file, first.fields, 'core:header_bytes') ?? 0) : 0,
    centreHz,
    retunedAt: other?.start ?? null,
    beginsAt: first?.start ?? 0,
    notes: [
      ...(centreHz === null
        ? [
            {
              code: 'no-centre-frequency',
              says: message('recording.noCentreFrequency'),
            },
          ]
        : []),
      ...(other
        ? [
            {
              code: 'retuned',
              says: message('recording.retuned', { start: other.start }),
            },
          ]
        : []),
    ],
  }
}

function annotationsOf(
  file: string,
  value: unknown,
  captured: unknown,
): Pick<SigmfMeta, 'annotations' | 'saysSamples'> {
  const annotations = list(file, value, 'annotations').map((a): Annotation => ({
    startSample: integer(file, a, 'core:sample_start') ?? 0,
    sampleCount: integer(file, a, 'core:sample_count'),
    label: text(file, a, 'core:label') ?? text(file, a, 'core:comment') ?? '',
    lowHz: number(file, a, 'core:freq_lower_edge'),
    highHz: number(file, a, 'core:freq_upper_edge'),
  }))
  const ends = annotations.map(a => a.startSample + (a.sampleCount ?? 0))
  const starts = list(file, captured, 'captures').map(c => (integer(file, c, 'core:sample_start') ?? 0) + 1)
  return { annotations, saysSamples: Math.max(0, ...ends, ...(starts.length > 1 ? starts : [])) }
}

function text(file: string, fields: Fields, name: string): string | null {
  const value = fields[name]
  if (value === undefined || value === null) return null
  if (typeof value !== 'string') throw badRecording(file, name, message('recording.notText'))
  return value
}

function number(file: string, fields: Fields, name: string): number | null {
  const value = fields[name]
  if (value === undefined || value === null) return null
  if (typeof value !== 'number' || !Number.isFinite(value))
    throw badRecording(file, name, message('recording.notANumber'))
  return value
}

function integer(file: string, fields: Fields, name: string): number | null {
  const value = number(file, fields, name)
  if (value !== null && !(Number.isInteger(value) && value >= 0 && value <= Number.MAX_SAFE_INTEGER))
    throw badRecording(file, name, message('recording.notACount', { value }))
  return value
}
