import { notStoredWords } from '~/features/align/logic/notStoredWords'
import { ref } from 'vue'
import { ValidationError } from '#shared/yup'
import { v4 as uuid } from 'uuid'
import type { JobKindSet, WorkEvent } from '#core/run'
import { jobEventBody } from '#shared/jobEvents'

type Sent = WorkEvent | JobKindSet
type WithoutId<E> = E extends Sent ? Omit<E, 'id' | 'atMs'> : never
export type NewWorkEvent = WithoutId<Sent>

/** Sends an event of the work after the check that the server makes too; what is wrong is named by field. */
export function useEventForm(append: (event: NewWorkEvent) => Promise<void>) {
  const problem = ref<{ field: string; words: string } | null>(null)

  /**
   * @param kept called only when it was kept: that is when a form empties itself, so that a refusal loses
   * nothing that was typed
   * @returns whether it was kept
   */
  async function send(event: NewWorkEvent, kept?: () => void): Promise<boolean> {
    problem.value = null
    try {
      await jobEventBody.validate({ ...event, id: uuid(), atMs: 0 }, { strict: true })
      await append(event)
      kept?.()
      return true
    } catch (error) {
      problem.value =
        error instanceof ValidationError
          ? { field: error.path ?? '', words: error.message }
          : {
              field: '',
              words: notStoredWords(error),
            }
      return false
    }
  }
  const wrong = (field: string) => (problem.value?.field === field ? problem.value.words : undefined)

  return { problem, send, wrong }
}
