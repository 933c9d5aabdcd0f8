<script setup lang="ts">
import { t } from '#shared/i18n'
import { KEY_ALARM, PLACE_ELSEWHERE } from '~/features/align/logic/provided'
import { computed, defineAsyncComponent, inject, ref, watch, onMounted, onBeforeUnmount } from 'vue'
import MoreMenu from '~/features/align/components/MoreMenu.vue'
import OtherRuns from '~/features/align/components/OtherRuns.vue'
import ParkedNotice from '~/features/align/components/ParkedNotice.vue'
import PointTabs from '~/features/align/components/PointTabs.vue'
import StepActions from '~/features/align/components/StepActions.vue'
import StepCentre from '~/features/align/components/StepCentre.vue'
import StepCoach from '~/features/align/components/StepCoach.vue'
import StepHands from '~/features/align/components/StepHands.vue'
import StepHead from '~/features/align/components/StepHead.vue'
import StepLadder from '~/features/align/components/StepLadder.vue'
import TurnQuestions from '~/features/align/components/TurnQuestions.vue'
import TypedRow from '~/features/align/components/matrix/TypedRow.vue'
import { useAlignCoach } from '~/features/align/logic/useAlignCoach'
import { useAlignPlace } from '~/features/align/logic/useAlignPlace'
import { useBenchKeys } from '~/features/align/logic/useBenchKeys'
import { useFollowing } from '~/features/align/logic/useFollowing'
import { useHearing } from '~/features/align/logic/useHearing'
import { useRowTaking } from '~/features/align/logic/useRowTaking'
import { useNotice } from '../../../ui/useNotice'
import { useStepConfirm } from '~/features/align/logic/useStepConfirm'
import { operatingPoint, menuFormatOf } from '#core/sheet'
import { waits } from '#core/work'
import { doubting } from '~/features/align/logic/doubts'
import { asFoundFor, connectedAccuracy } from '~/features/align/logic/alignView'
import { typedAccuracy } from '~/features/align/logic/typedInstrument'
import { lastCode, originalCode, isReadable, panelTickA } from '#core/run'
import type { LineTrust } from '#shared/sheetFile'
import { nextWords } from '#shared/words/runWords'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useJobStore } from '~/features/job/store/job'
import { useJobsStore } from '~/features/job/store/jobs'
import { useLiveStore } from '~/features/instruments/store/live'
import { usePracticeStore } from '~/features/practice/store/practice'
import { useSheetsStore } from '~/features/sheet/store/sheets'

const RunDialogs = defineAsyncComponent(() => import('~/features/align/screens/RunDialogs.vue'))
const BoardDialog = defineAsyncComponent(() => import('~/features/sheet/components/board/BoardDialog.vue'))
const job = useJobStore()
const jobs = useJobsStore()
const live = useLiveStore()
const instruments = useInstrumentsStore()
const practice = usePracticeStore()
const sheets = useSheetsStore()
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
  shown: live.shown,
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
const alarm = inject(KEY_ALARM)!
const { following, toggle: toggleFollow } = useFollowing(
  () => ({ stepId: stepId.value, pointId: pointId.value }),
  inject(PLACE_ELSEWHERE, ref(null)),
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
watch(() => state.value.step.adjusters, practice.want, { immediate: true })
watch(
  () => state.value.step,
  s => live.workOn(s),
  { immediate: true },
)
watch([stepId, pointId], () => (typing.value = null))
watch(
  () => [point.value, run.value.history.turns.length] as const,
  ([at, turns]) => {
    live.readUnder({ ...operatingPoint(at.state), also: at.state.also, turns })
  },
  { immediate: true },
)
watch(stepId, () => (ear.value = false))
onBeforeUnmount(() => live.leave())
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
  if (nominalHz === null) return say(t('align.thisRowHasNoNominalFrequency'), 'problem')
  await takeTyped(stepId.value, pointId.value, [
    { quantity: quantity.value, value: nominalHz + offHz, instrument: null },
  ])
}
async function turned(designators: readonly string[]) {
  if (designators.length === 0) return say(t('align.nothingToAdjustSaid'), 'problem')
  await job.append({ kind: 'adjuster-turned', designators, stepId: stepId.value, startPosition: '' })
  const which =
    designators.length > 2
      ? t('align.firstToLast', { designator: designators[0], at: designators.at(-1) })
      : designators.join(', ')
  say(t('align.loggedAsAdjusted', { which }))
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
            {{ t('align.reopenThisStep') }}
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
