import { message } from '#core/message'
import { CoreError } from '#core/errors'
import { openRecording, packTar, writeSigmf, type ByteSource, type Recording } from '#core/recording'
import { emissionMask } from '#core/rules'
import { measureRecording, type MeasuredRecording } from '#core/signal'
import type { KeptOptions } from '#shared/recording'
import type { FromMeasurer, ToMeasurer } from '../logic/measuring'

type ToMeasure = Extract<ToMeasurer, { kind: 'measure' }>
type ToAnnotate = Extract<ToMeasurer, { kind: 'annotate' }>

/** Measures recordings beside the screen: the files are read here, block by block. */
let cancelled = false
const say = (message: FromMeasurer) => self.postMessage(message)

const sourceOf = (file: File): ByteSource => ({
  name: file.name,
  size: file.size,
  read: async (from, length) => new Uint8Array(await file.slice(from, from + length).arrayBuffer()),
})

/** Longer ones are passed on as they came [samples]. */
const MAX_ANNOTATED = 32_000_000

async function annotate({ files, options, description, annotations }: ToAnnotate): Promise<Blob> {
  const recording = await opened(files, options)
  if (recording.sampleCount > MAX_ANNOTATED)
    throw new CoreError('bad-recording', message('error.tooLongToAnnotate', { file: recording.file }))
  const { i, q } = await recording.read(0, recording.sampleCount)
  const { sampleRateHz, centreHz } = recording
  const { meta, data } = writeSigmf({ i, q, sampleRateHz, centreHz, description, annotations })
  const text = new TextEncoder().encode(meta)
  return new Blob(
    packTar<Uint8Array>([
      { name: 'recording.sigmf-meta', size: text.length, content: text },
      { name: 'recording.sigmf-data', size: data.length, content: data },
    ]) as BlobPart[],
  )
}

function opened(files: readonly File[], { as }: KeptOptions): Promise<Recording> {
  const main = files.find(f => f.name.endsWith('.sigmf-meta')) ?? files[0]!
  const beside = async (name: string) => files.filter(f => f.name === name).map(sourceOf)[0] ?? null
  return openRecording(
    sourceOf(main),
    beside,
    as === 'auto' ? {} : { monoIs: as === 'audio' ? 'audio' : 'real' },
  )
}

async function measure({ files, options, mask: maskParts }: ToMeasure): Promise<MeasuredRecording> {
  const { ruleSetId, ...rest } = options
  const mask = {
    ruleSetId,
    parts: (mode: Parameters<typeof emissionMask>[1], powerW: number) =>
      emissionMask(maskParts, mode, powerW),
  }
  const recording = await opened(files, options)
  return measureRecording(
    recording,
    {
      ...rest,
      channelWidthHz: rest.channelWidthHz ?? null,
      unmodulatedDbfs: rest.unmodulatedDbfs ?? null,
      mask,
    },
    { tell: (share, phase) => say({ kind: 'progress', share, phase }), cancelled: () => cancelled },
  )
}

self.onmessage = async ({ data }: MessageEvent<ToMeasurer>) => {
  if (data.kind === 'cancel') {
    cancelled = true
    return
  }
  cancelled = false
  try {
    if (data.kind === 'measure') say({ kind: 'done', measured: await measure(data) })
    else say({ kind: 'annotated', archive: await annotate(data) })
  } catch (error) {
    say({
      kind: 'failed',
      says: error instanceof CoreError ? error.says : null,
      cancelled,
    })
  }
}
