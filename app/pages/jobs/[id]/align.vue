<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import PeakCoach from '../../../components/align/PeakCoach.vue'
import PointTabs from '../../../components/align/PointTabs.vue'
import StepActions from '../../../components/align/StepActions.vue'
import StepCentre from '../../../components/align/StepCentre.vue'
import StepHands from '../../../components/align/StepHands.vue'
import StepHead from '../../../components/align/StepHead.vue'
import StepLadder from '../../../components/align/StepLadder.vue'
import TextDialog from '../../../components/frame/TextDialog.vue'
import TypedRow from '../../../components/matrix/TypedRow.vue'
import { useAlignPlace } from '../../../composables/useAlignPlace'
import { useBenchKeys } from '../../../composables/useBenchKeys'
import { useListen } from '../../../composables/useListen'
import { usePeakGuide } from '../../../composables/usePeakGuide'
import { useRowTaking } from '../../../composables/useRowTaking'
import { useSaid } from '../../../composables/useSaid'
import { useStepConfirm } from '../../../composables/useStepConfirm'
import { doubting } from '../../../logic/doubts'
import { asFoundFor, balanceAdvice, connectedAccuracy, earPlace } from '../../../logic/alignView'
import { typedAccuracy } from '../../../logic/typedInstrument'
import { nextWords } from '../../../../shared/words/runWords'
import { useInstrumentsStore } from '../../../stores/instruments'
import { useJobStore } from '../../../stores/job'
import { useLiveStore } from '../../../stores/live'
import { usePracticeStore } from '../../../stores/practice'

const job = useJobStore()
const live = useLiveStore()
const instruments = useInstrumentsStore()
const practice = usePracticeStore()
const { said, say } = useSaid()
const run = computed(() => job.run!)
const { stepId, chosenPoint, state, pointId, point, want, missing, move, movePoint, toNext } = useAlignPlace(() => run.value)
const { typing, take, takeTyped } = useRowTaking({ sheet: () => job.sheet!, phase: 'adjusting', doubting: doubting(job, instruments, () => job.asFound), liveOf: live.liveOf, append: job.append, say })
const confirm = useStepConfirm(() => state.value, () => run.value, job.append, toNext, say)

const quantity = computed(() => want.value.want.quantity)
const shown = computed(() => live.shown(quantity.value))
const value = computed(() => shown.value?.freshness === 'live' ? shown.value.entry.value : null)
const accuracy = computed(() => connectedAccuracy(live.links, quantity.value) ?? typedAccuracy(quantity.value, instruments.typedWith(quantity.value)))
const listen = useListen(computed(() => earPlace(value.value, want.value)))
const peak = usePeakGuide(computed(() => value.value === null || !shown.value ? null : { atMs: shown.value.entry.receivedAtMs, value: value.value }))
const hold = ref<number | null>(null)
watch(value, v => hold.value !== null && v !== null && (hold.value = Math.max(hold.value, v)))
watch(() => state.value.step.adjusters, a => (practice.wanted = a), { immediate: true })
watch(() => state.value.step.keyDownLimitS, s => (live.keyDownLimitS = s), { immediate: true })
watch([stepId, pointId], () => {
  typing.value = null
  peak.end()
})
const nextElsewhere = computed(() => run.value.next && run.value.next.stepId !== stepId.value && state.value.satisfied ? nextWords(job.sheet!, run.value.next) : null)

const noting = ref(false)
const striking = ref<string | null>(null)
const reopening = ref(false)

async function takeNow() {
  if (await take(stepId.value, pointId.value)) chosenPoint.value = null
}
async function turned(designators: readonly string[]) {
  if (designators.length === 0) return say('Nothing is turned in this step', 'problem')
  await job.append({ kind: 'adjuster-turned', designators, stepId: stepId.value, startPosition: '' })
  say(`${designators.length > 2 ? `${designators[0]} to ${designators.at(-1)}` : designators.join(', ')} marked as turned`)
}
function strikeLast() {
  striking.value = run.value.history.readings.findLast(t => t.row.stepId === stepId.value && t.struck === null)?.reading.id ?? null
}
async function strike(reason: string) {
  await job.append({ kind: 'reading-struck', readingId: striking.value!, reason })
  striking.value = null
}
async function note(text: string) {
  await job.append({ kind: 'note', stepId: stepId.value, text })
  noting.value = false
  say('Note kept')
}
async function reopen(reason: string) {
  await job.append({ kind: 'step-reopened', stepId: stepId.value, reason })
  reopening.value = false
}
const type = (first: string) => (typing.value = { pointId: pointId.value, first })
const toggleHold = () => (hold.value = hold.value === null ? value.value ?? 0 : null)
useBenchKeys({
  ' ': () => void takeNow(), 'Enter': () => void confirm.confirm(), '[': () => move(-1), ']': () => move(1), 'ArrowUp': () => movePoint(-1), 'ArrowDown': () => movePoint(1),
  't': () => type(''), 'l': listen.toggle, 'm': toggleHold, 'n': () => (noting.value = true), 'u': strikeLast, 'a': () => void turned(state.value.step.adjusters),
  ...Object.fromEntries([...'0123456789'].map(d => [d, () => type(d)])),
})
</script>

<template>
  <div class="align">
    <StepLadder :sheet="job.sheet!" :steps="run.steps" :at="stepId" :next-id="run.next?.stepId ?? null" @choose="id => (stepId = id)" />
    <section class="centre">
      <StepHead :sheet="job.sheet!" :state="state" :point="point" :missing="missing" :turns="run.history.turns" :next="nextElsewhere" />
      <PointTabs v-if="state.step.points.length > 1 || state.wants.some(w => w.latest)" :state="state" :at="pointId" @choose="id => (chosenPoint = id)" />
      <TypedRow v-if="typing" :key="pointId" :wants="point.wants" :first="typing.first" :options-for="instruments.optionsFor" :typed-with="instruments.typedWith" @done="v => takeTyped(stepId, pointId, v)" @cancel="typing = null" @choose="instruments.chooseTypedWith" />
      <StepCentre v-else :state="state" :want="want" :live="shown" :accuracy="accuracy" :as-found="asFoundFor(job.asFound, want)" :hold="hold" :trend="live.trendOf(quantity)" :now-ms="live.nowMs" :advice="balanceAdvice(state)" />
      <PeakCoach v-if="state.step.criterion?.kind === 'peak' && value !== null" :on="peak.on.value" :last="peak.last.value" :below-db="peak.belowDb.value" @begin="peak.begin" @end="peak.end" />
      <div class="foot">
        <p class="said" role="status" :class="said?.kind">{{ said?.text ?? '' }}<button v-if="state.confirmed && !said" type="button" class="reopen" @click="reopening = true">Reopen this step</button></p>
        <StepActions :confirming="confirm.what.value" :listening="listen.on.value" :holding="hold !== null" @take="takeNow" @type="type('')" @confirm="confirm.confirm" @listen="listen.toggle" @hold="toggleHold" @note="noting = true" @strike="strikeLast" @back="move(-1)" @next="move(1)" />
      </div>
    </section>
    <StepHands :sheet="job.sheet!" :step="state.step" :turns="run.history.turns" @turned="turned" @other="e => job.append(e)" />
    <TextDialog :open="noting" title="Note" :hint="`to ${state.step.title}`" label="Note" action="Keep" @close="noting = false" @done="note" />
    <TextDialog :open="striking !== null" title="Strike out the last reading" hint="It stays in the record with your reason; it no longer counts." label="Reason" action="Strike out" @close="striking = null" @done="strike" />
    <TextDialog :open="reopening" title="Reopen the step" label="Why" action="Reopen" @close="reopening = false" @done="reopen" />
    <TextDialog :open="confirm.asking.value !== null" :title="confirm.asking.value === 'skipped' ? 'Skip without measuring' : 'Accept as it is'" hint="It goes to the handover as an open item, with your reason." label="Reason" :action="confirm.asking.value === 'skipped' ? 'Skip' : 'Accept'" @close="confirm.asking.value = null" @done="confirm.withReason" />
  </div>
</template>

<style scoped>
.align { display: grid; grid-template-columns: 236px minmax(0, 1fr) 258px; flex: 1; min-height: 0; }
.centre { padding: 12px 20px 0; display: flex; flex-direction: column; min-width: 0; overflow: auto; }
.foot { margin-top: auto; position: sticky; bottom: 0; background: var(--paper); z-index: 2; }
.said { margin: 0; min-height: 22px; font-weight: 600; }
.said.problem { color: var(--out); } .said.ok { color: var(--in); }
.reopen { font: inherit; font-weight: 400; font-size: 13px; color: var(--accent); background: none; border: 0; text-decoration: underline; cursor: pointer; }
@media (max-width: 1000px) { .align { grid-template-columns: 200px minmax(0, 1fr); } .align > :deep(.hands) { grid-column: 1 / -1; border-left: 0; } }
@media (max-width: 700px) { .align { display: block; overflow: auto; } .align > :deep(.ladder) { max-height: 104px; border-bottom: 1px solid var(--line2); } .centre { overflow: visible; } }
</style>
