import { computed, ref, watch } from 'vue'
import { missingNeeds, type RunState, type StepState } from '#core/run'
import { openPointId } from './alignView'

/**
 * Which step and which of its points is at hand. Taking a reading moves on to the next open point of the
 * step.
 */
export function useRunPosition(run: () => RunState) {
  const stepId = ref(run().next?.stepId ?? run().steps[0]!.step.id)
  const chosenPoint = ref<string | null>(null)
  const state = computed<StepState>(() => run().steps.find(s => s.step.id === stepId.value)!)
  const pointId = computed(() => chosenPoint.value ?? openPointId(state.value))
  const point = computed(() => state.value.step.points.find(p => p.id === pointId.value)!)
  const want = computed(() => state.value.wants.find(w => w.point.id === pointId.value)!)
  const missing = computed(() => missingNeeds(run().steps, stepId.value))
  watch(stepId, () => (chosenPoint.value = null))

  function move(by: number) {
    const { steps } = run()
    const index = steps.findIndex(s => s.step.id === stepId.value)
    stepId.value = steps[Math.max(0, Math.min(steps.length - 1, index + by))]!.step.id
  }
  function movePoint(by: number) {
    const { points } = state.value.step
    const index = points.findIndex(p => p.id === pointId.value)
    chosenPoint.value = points[Math.max(0, Math.min(points.length - 1, index + by))]!.id
  }
  function toNext() {
    if (run().next) stepId.value = run().next!.stepId
    else move(1)
  }
  return { stepId, chosenPoint, state, pointId, point, want, missing, move, movePoint, toNext }
}
