import { computed, ref, shallowRef } from 'vue'
import { shortestKeyDownS, type Circumstances } from '#core/run'
import { USUAL_KEY_DOWN_S, type ModelSheet, type SetKind, type Step } from '#core/sheet'

/** What stands on the bench and what is done on it: under this the instruments are read. */
export function useBenchAtHand() {
  /** what stands on the bench decides rest and heat */
  const kind = ref<SetKind>('fm-mobile')
  /** currents of the set on the bench: they tell the key where there is no RF */
  const currents = shallowRef<Pick<ModelSheet, 'idleA' | 'keyedA'> | null>(null)
  /** what the row at hand asks of set and bench; readings of different circumstances are never joined */
  const at = shallowRef<Omit<Circumstances, 'keyed'> | null>(null)
  const ofStepS = ref<number | null>(null)
  const ofSetS = ref<number | null>(null)
  /** where no step says how long: the shortest that the set bears anywhere */
  const keyDownLimitS = computed(() => ofStepS.value ?? ofSetS.value ?? USUAL_KEY_DOWN_S)
  /** step that is on the screen, for the record of seconds keyed */
  const stepAtHand = ref<string | null>(null)

  /** What stands on the bench: its kind decides rest and heat, its currents tell the key. */
  function setOnBench(sheet: ModelSheet | null) {
    currents.value = sheet
    if (!sheet) return
    kind.value = sheet.kind
    ofSetS.value = shortestKeyDownS(sheet)
  }
  /** The step that is worked on; null = none, as while the rows before and after are read. */
  function workOn(step: Pick<Step, 'id' | 'keyDownLimitS'> | null) {
    stepAtHand.value = step?.id ?? null
    ofStepS.value = step?.keyDownLimitS ?? null
  }
  function readUnder(circumstances: typeof at.value) {
    at.value = circumstances
  }
  /** The page that worked is left: nothing is read for it any more. */
  function leave() {
    workOn(null)
    at.value = null
  }

  return { kind, currents, at, keyDownLimitS, stepAtHand, setOnBench, workOn, readUnder, leave }
}
