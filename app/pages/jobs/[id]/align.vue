<script setup lang="ts">
import { computed, defineAsyncComponent, inject, ref, watch, type Ref } from 'vue'
import MoreMenu from '~/components/align/MoreMenu.vue'
import OtherRuns from '~/components/align/OtherRuns.vue'
import ParkedNotice from '~/components/align/ParkedNotice.vue'
import PointTabs from '~/components/align/PointTabs.vue'
import StepActions from '~/components/align/StepActions.vue'
import StepCentre from '~/components/align/StepCentre.vue'
import StepCoach from '~/components/align/StepCoach.vue'
import StepHands from '~/components/align/StepHands.vue'
import StepHead from '~/components/align/StepHead.vue'
import StepLadder from '~/components/align/StepLadder.vue'
import TurnQuestions from '~/components/align/TurnQuestions.vue'
import TypedRow from '~/components/matrix/TypedRow.vue'
import { useAlignCoach } from '~/composables/useAlignCoach'
import { useAlignPlace } from '~/composables/useAlignPlace'
import { useBenchKeys } from '~/composables/useBenchKeys'
import { useFollowing } from '~/composables/useFollowing'
import { useHearing } from '~/composables/useHearing'
import { useRowTaking } from '~/composables/useRowTaking'
import { useNotice } from '~/composables/useNotice'
import { useStepConfirm } from '~/composables/useStepConfirm'
import { operatingPoint, menuFormatOf } from '#core/sheet'
import { waits } from '#core/work'
import { doubting } from '~/logic/doubts'
import { asFoundFor, connectedAccuracy } from '~/logic/alignView'
import { typedAccuracy } from '~/logic/typedInstrument'
import { lastCode, originalCode } from '~/logic/menuGoal'
import { isReadable, panelTickA } from '#core/run'
import type { RunPlace } from '#shared/jobLive'
import type { LineTrust } from '#shared/sheetFile'
import { nextWords } from '#shared/words/runWords'
import { useInstrumentsStore } from '~/stores/instruments'
import { useJobStore } from '~/stores/job'
import { useJobsStore } from '~/stores/jobs'
import { useLiveStore } from '~/stores/live'
import { usePracticeStore } from '~/stores/practice'
import { useSheetsStore } from '~/stores/sheets'

const RunDialogs = defineAsyncComponent(() => import('~/screens/RunDialogs.vue'))
const BoardDialog = defineAsyncComponent(() => import('~/components/board/BoardDialog.vue'))
const [job, jobs, live, instruments, practice, sheets] = [
  useJobStore(),
  useJobsStore(),
  useLiveStore(),
  useInstrumentsStore(),
  usePracticeStore(),
  useSheetsStore(),
]
const { said, say } = useNotice()
const run = computed(() => job.run!)
const { stepId, chosenPoint, state, pointId, point, want, missing, move, movePoint, toNext } = useAlignPlace(
  () => run.value,
)
const { typing, take, takeTyped } = useRowTaking({
  sheet: () => job.sheet!,
  phase: 'adjusting',
  doubting: doubting(job, instruments, () => job.asFound),
  liveOf: live.liveOf,
  rfSeen: live.rfSeen,
  append: job.append,
  say,
})
const confirm = useStepConfirm(
  () => state.value,
  () => run.value,
  job.append,
  toNext,
  say,
)

const quantity = computed(() => want.value.want.quantity)
const shown = computed(() => live.shown(quantity.value))
const value = computed(() => (shown.value?.freshness === 'live' ? shown.value.entry.value : null))
const accuracy = computed(
  () =>
    connectedAccuracy(live.links, quantity.value) ??
    typedAccuracy(quantity.value, instruments.typedWith(quantity.value)),
)
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
  accuracy: () => accuracy.value,
})
const hearing = useHearing({
  place: () => `${stepId.value} ${pointId.value}`,
  value: () =>
    coach.shownValue.value !== null && coach.peak.on.value ? coach.shownValue.value : value.value,
  quantity: () => (coach.peak.on.value && coach.peaked.value ? coach.peaked.value.quantity : quantity.value),
  want: () => want.value,
})
const alarm = inject<{ on: Ref<boolean>; toggle: () => void }>('key-alarm')!
const { following, toggle: toggleFollow } = useFollowing(
  () => ({ stepId: stepId.value, pointId: pointId.value }),
  inject<Ref<RunPlace | null>>('place-elsewhere', ref(null)),
  job.tellPlace,
  (step, at) => {
    if (!run.value.steps.some(s => s.step.id === step)) return
    stepId.value = step
    queueMicrotask(() => (chosenPoint.value = at))
  },
)
const hold = ref<number | null>(null)
const dialog = ref<'note' | 'strike' | 'reopen' | 'log' | 'attribution' | 'board' | 'park' | null>(null)
const line = ref<string | null>(null)
const strikeId = ref<string | null>(null)
/** Asked once: whether the adjusters of this step were turned before a reading that moved. */
const questions = computed(() => run.value.history.questions.filter(q => q.stepId === stepId.value).slice(-1))
function strikeOne(readingId: string) {
  strikeId.value = readingId
  dialog.value = 'strike'
}
function closeDialog() {
  dialog.value = null
  strikeId.value = null
}
/** zero beat by the sound card is shown */
const ear = ref(false)
const trust = ref<readonly LineTrust[]>([])
watch(value, v => hold.value !== null && v !== null && (hold.value = Math.max(hold.value, v)))
watch(
  () => state.value.step.adjusters,
  a => (practice.wanted = a),
  { immediate: true },
)
watch(
  () => state.value.step,
  s => ([live.keyDownLimitS, live.stepAtHand] = [s.keyDownLimitS, s.id]),
  { immediate: true },
)
watch([stepId, pointId], () => (typing.value = null))
watch(
  () => [point.value, run.value.history.turns.length] as const,
  ([at, turns]) => {
    live.at = { ...operatingPoint(at.state), also: at.state.also, turns }
  },
  { immediate: true },
)
watch(stepId, () => (ear.value = false))
onBeforeUnmount(() => ([live.stepAtHand, live.at] = [null, null]))
/** What is not needed at the first look waits until it was had. */
onMounted(async () => {
  await new Promise(resolve => setTimeout(resolve, 400))
  if (!jobs.items) void jobs.load()
  trust.value = (await sheets.view(job.sheet!.id))?.trust ?? []
})
const others = computed(() =>
  (jobs.items ?? []).filter(
    j => j.job.onBench && j.job.sheetId === job.job!.sheetId && j.job.id !== job.job!.id,
  ),
)
const nextElsewhere = computed(() =>
  run.value.next && run.value.next.stepId !== stepId.value && state.value.satisfied
    ? nextWords(job.sheet!, run.value.next)
    : null,
)
const byEar = computed(() =>
  state.value.wants.some(w => w.want.quantity === 'referenceHz' || w.want.quantity === 'carrierHz'),
)
/** An unkeyed set is neither inside nor outside. */
const readable = computed(
  () => live.nowMs > 0 && isReadable(quantity.value, point.value.state, live.rfSeen()),
)
const waiting = computed(() => waits(job.events).filter(w => w.ended === null))
const readings = computed(() => state.value.wants.some(w => w.latest))

async function takeNow(code: number | null = null) {
  if (
    await take(
      stepId.value,
      pointId.value,
      code === null ? [] : [{ quantity: 'menuCode', value: code, instrument: null }],
    )
  )
    chosenPoint.value = null
}
async function takeBeat(offHz: number) {
  const nominalHz = want.value.requirement.nominalHz
  if (nominalHz === null) return say('This row has no nominal frequency to compare the beat with', 'problem')
  await takeTyped(stepId.value, pointId.value, [
    { quantity: quantity.value, value: nominalHz + offHz, instrument: null },
  ])
}
async function turned(designators: readonly string[]) {
  if (designators.length === 0) return say('Nothing to adjust in this step', 'problem')
  await job.append({ kind: 'adjuster-turned', designators, stepId: stepId.value, startPosition: '' })
  const which = designators.length > 2 ? `${designators[0]} to ${designators.at(-1)}` : designators.join(', ')
  say(`${which} logged as adjusted`)
}
async function pass(reason: string) {
  const { fit } = coach.gate.value!
  await job.append({
    kind: 'gate-passed',
    stepId: stepId.value,
    driftHzPerMin: fit?.rateHzPerMin ?? null,
    onTimeS: live.liveOf('onTimeS')?.value ?? null,
    reason,
  })
}
const type = (first: string) => (typing.value = { pointId: pointId.value, first })
const toggleHold = () => (hold.value = hold.value === null ? (value.value ?? 0) : null)
useBenchKeys({
  ' ': () => void takeNow(),
  'Enter': () => void confirm.confirm(),
  '[': () => move(-1),
  ']': () => move(1),
  'ArrowUp': () => movePoint(-1),
  'ArrowDown': () => movePoint(1),
  't': () => type(''),
  'l': hearing.toggle,
  'm': toggleHold,
  'n': () => (dialog.value = 'note'),
  'u': () => (dialog.value = 'strike'),
  'b': () => (dialog.value = 'board'),
  'a': () => void turned(state.value.step.adjusters),
  ...Object.fromEntries([...'0123456789'].map(d => [d, () => type(d)])),
})
</script>

<template>
  <div class="align">
    <StepLadder
      :sheet="job.sheet!"
      :steps="run.steps"
      :at="stepId"
      :next-id="run.next?.stepId ?? null"
      @choose="id => (stepId = id)"
    />
    <section class="centre">
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
        @amend="l => (line = l)"
      />
      <PointTabs
        v-if="state.step.points.length > 1 || readings"
        :state="state"
        :at="pointId"
        @choose="id => (chosenPoint = id)"
        @strike="strikeOne"
      />
      <TurnQuestions
        :questions="questions"
        @answer="(rowId, designators) => job.append({ kind: 'turn-answered', rowId, designators })"
      />
      <TypedRow
        v-if="typing"
        :key="pointId"
        :wants="point.wants"
        :first="typing.first"
        :tick-a="panelTickA(job.sheet!)"
        :options-for="instruments.optionsFor"
        :typed-with="instruments.typedWith"
        @done="v => takeTyped(stepId, pointId, v)"
        @cancel="typing = null"
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
          :left="entry => lastCode(run, entry) ?? originalCode(job.asFound, entry)"
          :format-of="entry => menuFormatOf(job.sheet!, entry)"
          :can-take="value !== null"
          :by-ear="ear"
          @pass="pass"
          @take-code="takeNow"
          @take-beat="takeBeat"
        />
      </StepCentre>
      <OtherRuns :others="others" />
      <div class="foot">
        <p class="said" role="status" :class="said?.kind">
          {{ said?.text ?? ''
          }}<button v-if="state.confirmed && !said" type="button" class="link" @click="dialog = 'reopen'">
            Reopen this step
          </button>
        </p>
        <StepActions
          :confirming="confirm.what.value"
          :listening="hearing.on.value"
          :holding="hold !== null"
          @take="takeNow()"
          @type="type('')"
          @confirm="confirm.confirm"
          @work="confirm.work"
          @listen="hearing.toggle"
          @hold="toggleHold"
          @note="dialog = 'note'"
          @strike="dialog = 'strike'"
          @back="move(-1)"
          @next="move(1)"
        >
          <MoreMenu
            :volume="hearing.volume.value"
            :every-s="hearing.everyS.value"
            :has-voice="hearing.hasVoice.value"
            :alarm="alarm.on.value"
            :following="following"
            :oscillators="job.sheet!.scheme !== undefined && byEar"
            :ear="ear"
            :can-beat="byEar"
            @volume="v => (hearing.volume.value = v)"
            @every="s => (hearing.everyS.value = s)"
            @alarm="alarm.toggle"
            @follow="toggleFollow"
            @beat="ear = !ear"
            @open="what => (dialog = what)"
          />
        </StepActions>
      </div>
    </section>
    <StepHands
      :sheet="job.sheet!"
      :step="state.step"
      :turns="run.history.turns"
      :trust="trust"
      @turned="turned"
      @other="e => job.append(e)"
      @show="dialog = 'board'"
      @amend="l => (line = l)"
    />
    <BoardDialog
      v-if="dialog === 'board'"
      :sheet="job.sheet!"
      :wanted="state.step.adjusters"
      @close="dialog = null"
    />
    <RunDialogs
      v-if="dialog || line || confirm.asking.value"
      :which="dialog"
      :reading="strikeId"
      :line="line"
      :state="state"
      :confirm="confirm"
      :trust="trust"
      @close="closeDialog"
      @close-line="line = null"
      @say="say"
    />
  </div>
</template>

<style scoped>
.align {
  display: grid;
  grid-template-columns: clamp(176px, 18.4vw, 236px) minmax(0, 1fr) clamp(196px, 20.2vw, 258px);
  flex: 1;
  min-height: 0;
}
.centre {
  padding: 12px 20px 0;
  display: flex;
  flex-direction: column;
  min-width: 0;
  overflow: auto;
}
.foot {
  margin-top: auto;
  position: sticky;
  bottom: 0;
  background: var(--paper);
  z-index: 2;
}
.said {
  margin: 0;
  min-height: 22px;
  font-weight: 600;
}
.said.problem {
  color: var(--out);
}
.said.ok {
  color: var(--in);
}
.link {
  font: inherit;
  font-weight: 400;
  font-size: 13px;
  color: var(--accent);
  background: none;
  border: 0;
  text-decoration: underline;
  cursor: pointer;
}
@media (max-width: 1000px) {
  .align {
    grid-template-columns: 200px minmax(0, 1fr);
  }
  .align > :deep(.hands) {
    grid-column: 1 / -1;
    border-left: 0;
  }
}
@media (max-width: 700px) {
  .align {
    display: block;
    overflow: auto;
  }
  .align > :deep(.ladder) {
    max-height: 104px;
    border-bottom: 1px solid var(--line2);
  }
  .centre {
    overflow: visible;
  }
}
</style>
