import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import type { JobEvent, RunState, StepState } from '#core/run'
import { confirming } from './alignView'

type Append = (event: Omit<Extract<JobEvent, { kind: 'step-confirmed' }>, 'id' | 'atMs'>) => Promise<void>

/** Enter at a step: confirm, decide, skip or accept; where words are due they are asked for first. */
export function useStepConfirm(
  state: () => StepState,
  run: () => RunState,
  append: Append,
  onward: () => void,
  say: (text: string, kind: 'problem') => void,
) {
  const asking = ref<'as-is' | 'skipped' | null>(null)
  const what = computed(() => confirming(state(), run()))

  async function confirm() {
    switch (what.value.kind) {
      case 'already':
        return onward()
      case 'leave':
      case 'done':
        return keep('done', '')
      case 'decide':
        return keep('as-is', '')
      case 'skip-justified':
        return keep('skipped', '')
      case 'retake':
        return say(t('align.recheckDueRepeatTheReadingThen'), 'problem')
      case 'as-is':
        asking.value = 'as-is'
        return
      case 'skip':
        asking.value = 'skipped'
    }
  }
  async function keep(outcome: 'done' | 'as-is' | 'skipped', reason: string) {
    await append({ kind: 'step-confirmed', stepId: state().step.id, outcome, reason })
    asking.value = null
    onward()
  }
  const cancel = () => (asking.value = null)
  /** A deciding step that could be left is worked on all the same. */
  const work = () => keep('as-is', '')
  return { what, asking, confirm, cancel, work, withReason: (reason: string) => keep(asking.value!, reason) }
}
