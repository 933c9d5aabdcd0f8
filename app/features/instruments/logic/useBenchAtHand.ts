import { ref, shallowRef } from 'vue'
import type { Circumstances } from '#core/run'
import type { ModelSheet, SetKind } from '#core/sheet'

/** What stands on the bench and what is done on it: under this the instruments are read. */
export function useBenchAtHand() {
  /** what stands on the bench decides rest and heat */
  const kind = ref<SetKind>('fm-mobile')
  /** currents of the set on the bench: they tell the key where there is no RF */
  const currents = shallowRef<Pick<ModelSheet, 'idleA' | 'keyedA'> | null>(null)
  /** what the row at hand asks of set and bench; readings of different circumstances are never joined */
  const at = shallowRef<Omit<Circumstances, 'keyed'> | null>(null)
  const keyDownLimitS = ref<number | null>(null)
  /** step that is on the screen, for the record of seconds keyed */
  const stepAtHand = ref<string | null>(null)

  /** What stands on the bench: its kind decides rest and heat, its currents tell the key. */
  function setOnBench(sheet: ModelSheet | null) {
    currents.value = sheet
    if (sheet) kind.value = sheet.kind
  }
  /** The step that is worked on; outside of a run there is none, but a limit of keying all the same. */
  function workOn(step: { readonly id: string | null; readonly keyDownLimitS: number | null }) {
    stepAtHand.value = step.id
    keyDownLimitS.value = step.keyDownLimitS
  }
  function readUnder(circumstances: typeof at.value) {
    at.value = circumstances
  }
  /** The page that worked is left: nothing is read for it any more. */
  function leave() {
    stepAtHand.value = null
    at.value = null
  }

  return { kind, currents, at, keyDownLimitS, stepAtHand, setOnBench, workOn, readUnder, leave }
}
