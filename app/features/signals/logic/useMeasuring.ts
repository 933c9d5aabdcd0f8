import { t } from '#shared/i18n'
import { onBeforeUnmount, ref } from 'vue'
import type { MaskPart } from '#core/rules'
import type { MeasuredRecording } from '#core/signal'
import type { KeptOptions } from '#shared/recording'
import type { FromMeasurer, ToMeasurer } from './measuring'

type Mask = readonly MaskPart[]

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
  ): Promise<MeasuredRecording | null> {
    const answer = await ask({ kind: 'measure', files: [...files], options: { ...options }, mask })
    return answer?.kind === 'done' ? answer.measured : null
  }

  /** The recording as one SigMF archive, with what was found as annotations. */
  async function annotate(files: readonly File[], options: KeptOptions, mask: Mask): Promise<Blob | null> {
    const answer = await ask({ kind: 'annotate', files: [...files], options: { ...options }, mask })
    return answer?.kind === 'annotated' ? answer.archive : null
  }

  function ask(question: ToMeasurer): Promise<FromMeasurer | null> {
    worker ??= new Worker(new URL('../workers/measure.worker.ts', import.meta.url), { type: 'module' })
    progress.value = { share: 0, what: 'opening' }
    failure.value = null
    return new Promise(done => {
      worker!.onmessage = ({ data }: MessageEvent<FromMeasurer>) => {
        if (data.kind === 'progress') return (progress.value = data)
        progress.value = null
        if (data.kind === 'failed' && !data.cancelled) failure.value = data.words
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
