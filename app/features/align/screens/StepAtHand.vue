<script setup lang="ts">
import ParkedNotice from '../components/ParkedNotice.vue'
import PointTabs from '../components/PointTabs.vue'
import StepCentre from '../components/StepCentre.vue'
import StepCoach from '../components/StepCoach.vue'
import StepHead from '../components/StepHead.vue'
import TurnQuestions from '../components/TurnQuestions.vue'
import UnmovedNotice from '../components/UnmovedNotice.vue'
import TypedRow from '../components/matrix/TypedRow.vue'
import { computed } from 'vue'
import { fieldPath, menuFormatOf } from '#core/sheet'
import { lastCode, panelTickA, unmoved, untouchedCode } from '#core/run'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useLiveStore } from '~/features/instruments/store/live'
import { useJobStore } from '~/features/job/store/job'
import { asFoundFor } from '../logic/alignView'
import type { useRunStep } from '../store/useRunStep'

/** The step in the middle of the run: what it is, its rows, the reading or the row that is typed. */
const props = defineProps<{ step: ReturnType<typeof useRunStep> }>()
const emit = defineEmits<{ amend: [line: string]; strike: [readingId: string] }>()
const job = useJobStore()
const live = useLiveStore()
const instruments = useInstrumentsStore()
const run = computed(() => job.run!)
const { chosenPoint, pointId, state, point, want, missing, readout, coach, entries } = props.step
const { questions, waiting, nextElsewhere, hasReadings } = props.step
const { quantity, shown, value, accuracy, readable, hold, ear } = readout
const { typing } = entries
/**
 * What an entry must still read in the country state of the point at hand: what it was left at, or what it was
 * as found. Of one that this very step sets only what was written down in it.
 */
function codeLeft(entry: string) {
  const at = { entry, coverage: point.value.state.coverage }
  const left = lastCode(job.sheet!, run.value, at)
  if (left !== null || state.value.step.adjusters.includes(entry)) return left
  return untouchedCode(job.asFound, job.sheet!, run.value.history, at)
}
const stayed = computed(() => unmoved(job.sheet!, state.value, run.value.history))
</script>

<template>
  <ParkedNotice
    v-for="w in waiting"
    :key="w.begun.id"
    :wait="w.begun"
    @go-on="job.append({ kind: 'wait-ended', waitId: w.begun.id, text: '' })"
  />
  <StepHead
    :sheet="job.sheet!"
    :state="state"
    :point="point"
    :missing="missing"
    :turns="run.history.turns"
    :next="nextElsewhere"
    @amend="line => emit('amend', line)"
  />
  <PointTabs
    v-if="state.step.points.length > 1 || hasReadings"
    :state="state"
    :at="pointId"
    @choose="id => (chosenPoint = id)"
    @strike="readingId => emit('strike', readingId)"
  />
  <TurnQuestions
    :questions="questions"
    @answer="(rowId, designators) => job.append({ kind: 'turn-answered', rowId, designators })"
  />
  <UnmovedNotice
    v-if="stayed"
    :seen="stayed"
    @put-back="entries.putBack(stayed.designator)"
    @amend="emit('amend', fieldPath('step', state.step.id, 'adjusters'))"
  />
  <TypedRow
    v-if="typing"
    :key="pointId"
    :wants="point.wants"
    :first="typing.first"
    :tick-a="panelTickA(job.sheet!)"
    :options-for="instruments.optionsFor"
    :typed-with="instruments.typedWith"
    @done="entries.takeTyped"
    @cancel="entries.cancelTyping"
    @choose="instruments.chooseTypedWith"
  />
  <StepCentre
    v-else
    :state="state"
    :want="want"
    :live="shown"
    :accuracy="accuracy"
    :as-found="asFoundFor(job.asFound, want)"
    :hold="hold"
    :trend="live.trendOf(quantity)"
    :now-ms="live.nowMs"
    :readable="readable"
  >
    <StepCoach
      :state="state"
      :coach="coach"
      :left="codeLeft"
      :format-of="entry => menuFormatOf(job.sheet!, entry)"
      :can-take="value !== null"
      :by-ear="ear"
      @pass="entries.passGate"
      @take-code="entries.takeNow"
      @take-beat="entries.takeBeat"
    />
  </StepCentre>
</template>
