import { CoreError } from '../../core/errors'
import { openRecording, type ByteSource } from '../../core/formats/recording'
import { emissionMask } from '../../core/rules'
import { measureRecording } from '../../core/signal'
import type { FromMeasurer, ToMeasurer } from '../logic/measuring'

/** Measures recordings beside the screen: the files are read here, block by block. */
let cancelled = false
const say = (message: FromMeasurer) => self.postMessage(message)

const sourceOf = (file: File): ByteSource => ({ name: file.name, size: file.size, read: async (from, length) => new Uint8Array(await file.slice(from, from + length).arrayBuffer()) })

self.onmessage = async ({ data }: MessageEvent<ToMeasurer>) => {
  if (data.kind === 'cancel') {
    cancelled = true
    return
  }
  cancelled = false
  const { files, options } = data
  const main = files.find(f => f.name.endsWith('.sigmf-meta')) ?? files[0]!
  const { ruleSetId, ...rest } = options
  try {
    const recording = await openRecording(sourceOf(main), async name => files.filter(f => f.name === name).map(sourceOf)[0] ?? null, options.as === 'auto' ? {} : { monoIs: options.as === 'audio' ? 'audio' : 'real' })
    const mask = { ruleSetId, parts: (mode: Parameters<typeof emissionMask>[1], powerW: number) => emissionMask(ruleSetId, mode, powerW) }
    say({ kind: 'done', measured: await measureRecording(recording, { ...rest, mask }, { tell: (share, what) => say({ kind: 'progress', share, what }), cancelled: () => cancelled }) })
  }
  catch (error) {
    say({ kind: 'failed', words: cancelled ? 'Cancelled.' : error instanceof CoreError ? error.message : 'The recording could not be measured, and this is not its fault.', cancelled })
  }
}
