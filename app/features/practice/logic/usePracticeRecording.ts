import { clockSeconds } from '#shared/words/dateWords'
import { $apiFile } from '~/data/api'
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { writeSigmf } from '#core/recording'
import { failureOf } from '~/data/failureWords'

/**
 * The dongle of the practice bench: two seconds of what the simulated set sends, as the pair of files that
 * any receiver writes.
 */
export function usePracticeRecording() {
  const recording = ref(false)
  const failure = ref<string | null>(null)

  async function record(): Promise<File[] | null> {
    recording.value = true
    failure.value = null
    try {
      const { bytes, headers } = await $apiFile('/api/practice/recording')
      const pairs = new Float32Array(bytes)
      const count = pairs.length / 2
      const made = writeSigmf({
        i: Float32Array.from({ length: count }, (_, k) => pairs[2 * k]!),
        q: Float32Array.from({ length: count }, (_, k) => pairs[2 * k + 1]!),
        sampleRateHz: Number(headers.get('x-rate-hz')),
        centreHz: Number(headers.get('x-centre-hz')),
        description: t('practice.simulatedSetRecordedByADongle'),
        annotations: [],
      })
      const name = `practice-${clockSeconds(Date.now()).replaceAll(':', '')}`
      return [
        new File([made.meta], `${name}.sigmf-meta`),
        new File([made.data as BlobPart], `${name}.sigmf-data`),
      ]
    } catch (error) {
      failure.value = failureOf(error).words
      return null
    } finally {
      recording.value = false
    }
  }

  return { recording, failure, record }
}
