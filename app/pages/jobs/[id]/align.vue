<script setup lang="ts">
import { KEY_ALARM } from '~/features/align/logic/provided'
import { computed, inject, onMounted, ref } from 'vue'
import { laterComponent } from '~/ui/laterComponent'
import OtherRuns from '~/features/align/components/OtherRuns.vue'
import StepFoot from '~/features/align/components/StepFoot.vue'
import StepHands from '~/features/align/components/StepHands.vue'
import StepLadder from '~/features/align/components/StepLadder.vue'
import StepAtHand from '~/features/align/screens/StepAtHand.vue'
import { useBenchKeys } from '~/features/align/logic/useBenchKeys'
import { useRunDialogs } from '~/features/align/logic/useRunDialogs'
import { useRunStep } from '~/features/align/store/useRunStep'
import { useNotice } from '~/ui/useNotice'
import type { FieldTrust } from '#shared/sheetFile'
import { useJobStore } from '~/features/job/store/job'
import { useJobsStore } from '~/features/job/store/jobs'
import { useSheetsStore } from '~/features/sheet/store/sheets'

const RunDialogs = laterComponent(() => import('~/features/align/screens/RunDialogs.vue'))
const BoardDialog = laterComponent(() => import('~/features/sheet/components/board/BoardDialog.vue'))
const job = useJobStore()
const jobs = useJobsStore()
const sheets = useSheetsStore()
const { said, say } = useNotice()
const run = computed(() => job.run!)
const step = useRunStep(say)
const { stepId, state, move, movePoint, readout, entries, confirm, hearing, canBeat } = step
const { hold, ear } = readout
const { dialog, strikeId, field, ...dialogs } = useRunDialogs()
const alarm = inject(KEY_ALARM)!
const trust = ref<readonly FieldTrust[]>([])
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
useBenchKeys({
  ' ': () => void entries.takeNow(),
  'Enter': () => void confirm.confirm(),
  '[': () => move(-1),
  ']': () => move(1),
  'ArrowUp': () => movePoint(-1),
  'ArrowDown': () => movePoint(1),
  't': () => entries.type(''),
  'l': hearing.toggle,
  'm': readout.toggleHold,
  'n': () => dialogs.open('note'),
  'u': () => dialogs.open('strike'),
  'b': () => dialogs.open('board'),
  'a': () => void entries.turned(state.value.step.adjusters),
  ...Object.fromEntries([...'0123456789'].map(d => [d, () => entries.type(d)])),
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
      <StepAtHand :step="step" @amend="dialogs.amend" @strike="dialogs.strike" />
      <OtherRuns :others="others" />
      <StepFoot
        :said="said"
        :is-confirmed="state.confirmed !== null"
        :confirming="confirm.what.value"
        :hearing="hearing"
        :holding="hold !== null"
        :alarm="alarm.on.value"
        :following="step.following.value"
        :oscillators="job.sheet!.scheme !== undefined && canBeat"
        :can-beat="canBeat"
        :ear="ear"
        @take="entries.takeNow()"
        @type="entries.type('')"
        @confirm="confirm.confirm"
        @work="confirm.work"
        @hold="readout.toggleHold"
        @move="move"
        @alarm="alarm.toggle"
        @follow="step.toggleFollow"
        @beat="ear = !ear"
        @open="dialogs.open"
      />
    </section>
    <StepHands
      :sheet="job.sheet!"
      :step="state.step"
      :turns="run.history.turns"
      :trust="trust"
      @turned="entries.turned"
      @put-back="entries.putBack"
      @other="e => job.append(e)"
      @show="dialogs.open('board')"
      @amend="dialogs.amend"
    />
    <BoardDialog
      v-if="dialog === 'board'"
      :sheet="job.sheet!"
      :wanted="state.step.adjusters"
      @close="dialogs.close"
    />
    <RunDialogs
      v-if="dialog || field || confirm.asking.value"
      :which="dialog"
      :reading="strikeId"
      :field="field"
      :state="state"
      :confirm="confirm"
      :trust="trust"
      @close="dialogs.close"
      @close-field="dialogs.closeField"
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
