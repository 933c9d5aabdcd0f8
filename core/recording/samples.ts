import { message } from '../message'
import type { ByteSource } from './byteSource'
import { badRecording, type SampleBlock } from './recording'
import { decodePairs, type SampleType } from './sampleTypes'

const NO_SAMPLES = new Float32Array(0)

/** Reads samples of one or two interleaved channels from bytes. */
export interface SampleLayout {
  readonly file: string
  readonly source: ByteSource
  /** byte of the first sample */
  readonly start: number
  readonly type: SampleType
  /** channels in the file; the first is taken, or the first two as I and Q */
  readonly channels: number
  readonly complex: boolean
}

/** @throws {CoreError} bad-recording: not a number, or fewer bytes than the file has said */
export async function readSamples(
  layout: SampleLayout,
  fromSample: number,
  count: number,
  into?: SampleBlock,
): Promise<SampleBlock> {
  const { source, start, type, channels, complex, file } = layout
  const frame = channels * type.bytes
  const data = await source.read(start + fromSample * frame, count * frame)
  const got = Math.floor(data.length / frame)
  if (got < count)
    throw badRecording(file, 'data', message('recording.endsEarly', { fromSample: fromSample + got }))
  if (complex && channels === 2) return finite(decodePairs(type, data, got, into), layout, fromSample)
  return finite(
    { i: type.decode(data, got, channels, 0), q: complex ? type.decode(data, got, channels, 1) : NO_SAMPLES },
    layout,
    fromSample,
  )
}

/** A sum shows whether any sample is no number, without asking each. */
function finite(block: SampleBlock, { type, file }: SampleLayout, fromSample: number): SampleBlock {
  if (type.steps !== null) return block
  let sum = 0
  for (const x of block.i) sum += x * 0
  for (const x of block.q) sum += x * 0
  if (sum === 0) return block
  const at = Math.max(
    0,
    block.i.findIndex((x, n) => !Number.isFinite(x) || (block.q.length > 0 && !Number.isFinite(block.q[n]!))),
  )
  throw badRecording(
    file,
    'data',
    message('recording.sampleNotANumber', {
      fromSample: fromSample + at,
      i: block.i[at]!,
      what: block.q.length > 0 ? ` + ${block.q[at]}j` : '',
    }),
  )
}
