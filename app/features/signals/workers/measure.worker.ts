import { message } from '#core/message'
import { CoreError } from '#core/errors'
import { openRecording, packTar, writeSigmf, type ByteSource, type Recording } from '#core/recording'
import { emissionMask } from '#core/rules'
import { annotationsOf, measureRecording, type Measurement } from '#core/signal'
import type { FromMeasurer, ToMeasurer } from '../logic/measuring'

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

async function annotated(recording: Recording, measurement: Measurement): Promise<Blob> {
  if (recording.sampleCount > MAX_ANNOTATED)
    throw new CoreError('bad-recording', message('error.tooLongToAnnotate', { file: recording.file }))
  const { i, q } = await recording.read(0, recording.sampleCount)
  const { meta, data } = writeSigmf({
    i,
    q,
    sampleRateHz: recording.sampleRateHz,
    centreHz: recording.centreHz,
    description: `measured from ${recording.file}`,
    annotations: annotationsOf(measurement),
  })
  const text = new TextEncoder().encode(meta)
  return new Blob(
    packTar<Uint8Array>([
      { name: 'recording.sigmf-meta', size: text.length, content: text },
      { name: 'recording.sigmf-data', size: data.length, content: data },
    ]) as BlobPart[],
  )
}

self.onmessage = async ({ data }: MessageEvent<ToMeasurer>) => {
  if (data.kind === 'cancel') {
    cancelled = true
    return
  }
  cancelled = false
  const { files, options, mask: maskParts } = data
  const main = files.find(f => f.name.endsWith('.sigmf-meta')) ?? files[0]!
  const { ruleSetId, ...rest } = options
  try {
    const recording = await openRecording(
      sourceOf(main),
      async name => files.filter(f => f.name === name).map(sourceOf)[0] ?? null,
      options.as === 'auto' ? {} : { monoIs: options.as === 'audio' ? 'audio' : 'real' },
    )
    const mask = {
      ruleSetId,
      parts: (mode: Parameters<typeof emissionMask>[1], powerW: number) =>
        emissionMask(maskParts, mode, powerW),
    }
    const measured = await measureRecording(
      recording,
      {
        ...rest,
        channelWidthHz: rest.channelWidthHz ?? null,
        unmodulatedDbfs: rest.unmodulatedDbfs ?? null,
        mask,
      },
      { tell: (share, phase) => say({ kind: 'progress', share, phase }), cancelled: () => cancelled },
    )
    say(
      data.kind === 'measure'
        ? { kind: 'done', measured }
        : { kind: 'annotated', archive: await annotated(recording, measured.measurement) },
    )
  } catch (error) {
    say({
      kind: 'failed',
      says: error instanceof CoreError ? error.says : null,
      cancelled,
    })
  }
}
