import { v4 as uuid } from 'uuid'
import type { ModelChanged } from '#core/run'
import { t } from '#shared/i18n'
import { $api } from '~/data/api'
import { failureOf, type Failure } from '~/data/failureWords'
import { useOutboxStore } from '~/data/outbox'

/**
 * Tells the server by which sheet a job is measured from here on. It is not kept in this browser until later:
 * what is entered meanwhile would belong to neither sheet.
 * @returns the failure, or null when it was stored
 */
export async function sendModelChange(
  jobId: string,
  change: Omit<ModelChanged, 'kind' | 'id' | 'atMs'>,
): Promise<Failure | null> {
  const outbox = useOutboxStore()
  await outbox.flush()
  if (outbox.entries.some(e => e.jobId === jobId && e.refused === null))
    return { words: t('job.entriesWaitFirst'), field: null, passing: true, code: null }
  try {
    const body = { ...change, kind: 'model-changed', id: uuid(), atMs: Date.now() }
    await $api(`/api/jobs/${jobId}/events`, { method: 'POST', body })
    return null
  } catch (error) {
    return failureOf(error)
  }
}
