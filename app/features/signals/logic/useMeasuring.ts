import { t, type MessageCode } from '#shared/i18n'
import type { WordedRecording, KeptOptions } from '#shared/recording'
import { messageWords, wordedNotes } from '#shared/words/messageWords'
import { onBeforeUnmount, ref } from 'vue'
import type { MaskPart } from '#core/rules'
import { findingsOf, type Measurement, type MeasuringPhase } from '#core/signal'
import type { FromMeasurer, ToMeasurer } from './measuring'

const PHASE_WORDS: Readonly<Record<MeasuringPhase, MessageCode>> = {
  'looking': 'signals.looking',
  'tuning-in': 'signals.tuningIn',
  'measuring': 'signals.measuring',
  'done': 'signals.doneMeasuring',
}

type Mask = readonly MaskPart[]

/** A recording that was measured, with the files that it came from. */
interface Measured {
  readonly files: readonly File[]
  readonly options: KeptOptions
  readonly measured: { readonly measurement: Measurement }
}

/** Measures recordings in a worker, one after the other, with progress and cancel. */
export function useMeasuring() {
  const progress = ref<{ share: number; what: string } | null>(null)
  const failure = ref<string | null>(null)
  let worker: Worker | null = null

  /** @returns null when it failed or was cancelled */
  async function measure(
    files: readonly File[],
    options: KeptOptions,
    mask: Mask,
  ): Promise<WordedRecording | null> {
    const answer = await ask({ kind: 'measure', files: [...files], options: { ...options }, mask })
    if (answer?.kind !== 'done') return null
    const { measurement, pictures } = answer.measured
    return { measurement: { ...measurement, notes: wordedNotes(measurement.notes) }, pictures }
  }

  /** The recording as one SigMF archive, with what was found as annotations, in the language of the page. */
  async function annotate({ files, options, measured }: Measured): Promise<Blob | null> {
    const { measurement } = measured
    const annotations = findingsOf(measurement).map(({ says, ...at }) => ({
      ...at,
      label: messageWords(says),
    }))
    const description = t('signals.measuredFrom', { file: measurement.file })
    const answer = await ask({
      kind: 'annotate',
      files: [...files],
      options: { ...options },
      description,
      annotations,
    })
    return answer?.kind === 'annotated' ? answer.archive : null
  }

  function ask(question: ToMeasurer): Promise<FromMeasurer | null> {
    worker ??= new Worker(new URL('../workers/measure.worker.ts', import.meta.url), { type: 'module' })
    progress.value = { share: 0, what: t('signals.opening') }
    failure.value = null
    return new Promise(done => {
      worker!.onmessage = ({ data }: MessageEvent<FromMeasurer>) => {
        if (data.kind === 'progress')
          return (progress.value = { share: data.share, what: t(PHASE_WORDS[data.phase]) })
        progress.value = null
        if (data.kind === 'failed' && !data.cancelled)
          failure.value = data.says ? messageWords(data.says) : t('signals.notMeasuredNotTheRecording')
        done(data)
      }
      worker!.onerror = () => {
        progress.value = null
        failure.value = t('signals.theRecordingCouldNotBeMeasured')
        worker = null
        done(null)
      }
      worker!.postMessage(question)
    })
  }
  const cancel = () => worker?.postMessage({ kind: 'cancel' } satisfies ToMeasurer)

  onBeforeUnmount(() => worker?.terminate())
  return { progress, failure, measure, annotate, cancel }
}
