import { computed, inject, ref, type Ref } from 'vue'
import { waits } from '#core/work'
import { useLiveStore } from '~/features/instruments/store/live'
import { useJobStore } from '~/features/job/store/job'
import { nextWords } from '#shared/words/runWords'
import { POSITION_ELSEWHERE } from '../logic/provided'
import { useAlignCoach } from '../logic/useAlignCoach'
import { useRunPosition } from '../logic/useRunPosition'
import { useFollowing } from '../logic/useFollowing'
import { useHearing } from '../logic/useHearing'
import { useStepConfirm } from '../logic/useStepConfirm'
import { useStepEntries } from './useStepEntries'
import { useStepReadout } from './useStepReadout'

type Say = (text: string, kind?: 'ok' | 'problem') => void

/** The step of the run that is at hand: where it is, what is read there, what helps, and what is entered. */
export function useRunStep(say: Say) {
  const job = useJobStore()
  const live = useLiveStore()
  const run = computed(() => job.run!)
  const position = useRunPosition(() => run.value)
  const { stepId, chosenPoint, pointId, state, want } = position
  const readout = useStepReadout(position)
  const coach = useAlignCoach({
    sheet: () => job.sheet!,
    run: () => run.value,
    events: () => job.events,
    asFound: () => job.asFound,
    state: () => state.value,
    want: () => want.value,
    nowMs: () => live.nowMs,
    liveOf: live.liveOf,
    driftOf: live.driftOf,
    rfSeen: live.rfSeen,
    stretchOf: live.stretchOf,
    accuracy: () => readout.accuracy.value,
  })
  const entries = useStepEntries(position, coach, say)
  const confirm = useStepConfirm(
    () => state.value,
    () => run.value,
    job.append,
    position.toNext,
    say,
  )
  const hearing = useHearing({
    position: () => `${stepId.value} ${pointId.value}`,
    value: () =>
      coach.peak.on.value ? (coach.shownValue.value ?? readout.value.value) : readout.value.value,
    quantity: () => (coach.peak.on.value && coach.peaked.value?.quantity) || readout.quantity.value,
    want: () => want.value,
  })
  const { following, toggle: toggleFollow } = useFollowing(
    () => ({ stepId: stepId.value, pointId: pointId.value }),
    inject(POSITION_ELSEWHERE, ref(null)),
    job.tellPosition,
    (step, at) => {
      if (!run.value.steps.some(s => s.step.id === step)) return
      stepId.value = step
      queueMicrotask(() => (chosenPoint.value = at))
    },
  )
  return {
    ...position,
    readout,
    coach,
    entries,
    confirm,
    hearing,
    following,
    toggleFollow,
    ...whatElse(run, position),
  }
}

/** What is asked and pointed at beside the step. */
function whatElse(
  run: Ref<NonNullable<ReturnType<typeof useJobStore>['run']>>,
  { stepId, state }: ReturnType<typeof useRunPosition>,
) {
  const job = useJobStore()
  return {
    /** Asked once: whether the adjusters of this step were turned before a reading that moved. */
    questions: computed(() => run.value.history.questions.filter(q => q.stepId === stepId.value).slice(-1)),
    waiting: computed(() => waits(job.events).filter(w => w.ended === null)),
    nextElsewhere: computed(() =>
      run.value.next && run.value.next.stepId !== stepId.value && state.value.satisfied
        ? nextWords(job.sheet!, run.value.next)
        : null,
    ),
    /** a zero beat can be heard */
    canBeat: computed(() =>
      state.value.wants.some(w => ['referenceHz', 'carrierHz'].includes(w.want.quantity)),
    ),
    hasReadings: computed(() => state.value.wants.some(w => w.latest)),
  }
}
