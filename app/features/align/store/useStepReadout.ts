import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { isReadable } from '#core/run'
import { operatingPoint } from '#core/sheet'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useLiveStore } from '~/features/instruments/store/live'
import { useJobStore } from '~/features/job/store/job'
import { usePracticeStore } from '~/features/practice/store/practice'
import { connectedAccuracy } from '../logic/alignView'
import { typedAccuracy } from '../logic/typedInstrument'
import type { useRunPosition } from '../logic/useRunPosition'

type Position = ReturnType<typeof useRunPosition>

/** What instruments show for the row at hand; they are told what is worked on and under what it is read. */
export function useStepReadout({ stepId, state, point, want }: Position) {
  const live = useLiveStore()
  const instruments = useInstrumentsStore()
  const practice = usePracticeStore()
  const job = useJobStore()

  const quantity = computed(() => want.value.want.quantity)
  const shown = computed(() => live.shown(quantity.value))
  const value = computed(() => (shown.value?.freshness === 'live' ? shown.value.entry.value : null))
  const accuracy = computed(
    () =>
      connectedAccuracy(live.links, quantity.value) ??
      typedAccuracy(quantity.value, instruments.typedWith(quantity.value)),
  )
  /** An unkeyed set is neither inside nor outside. */
  const readable = computed(
    () => live.nowMs > 0 && isReadable(quantity.value, point.value.state, live.rfSeen()),
  )

  const hold = ref<number | null>(null)
  const toggleHold = () => (hold.value = hold.value === null ? (value.value ?? 0) : null)
  watch(value, v => hold.value !== null && v !== null && (hold.value = Math.max(hold.value, v)))

  watch(() => state.value.step.adjusters, practice.want, { immediate: true })
  watch(
    () => state.value.step,
    step => live.workOn(step),
    { immediate: true },
  )
  watch(
    () => [point.value, job.run!.history.turns.length] as const,
    ([at, turns]) => live.readUnder({ ...operatingPoint(at.state), also: at.state.also, turns }),
    { immediate: true },
  )
  onBeforeUnmount(() => live.leave())

  /** Zero beat by the sound card is shown until the step is left. */
  const ear = ref(false)
  watch(stepId, () => (ear.value = false))
  return { quantity, shown, value, accuracy, readable, hold, toggleHold, ear }
}
