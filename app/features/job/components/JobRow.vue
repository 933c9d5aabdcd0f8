<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import type { SetKind } from '#core/sheet'
import { computed } from 'vue'
import { USUAL_JOB_KIND, type JobKind } from '#core/run'
import { nextStage, type Stage, type WaitsFor, type WarmUp } from '#core/work'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import { day, dayAndTime, localDay } from '#shared/words/dateWords'
import { STAGE_NAMES, jobKindWords } from '#shared/words/jobKindWords'
import { timerWords } from '#shared/words/benchWords'
import { waitWords } from '#shared/words/workWords'
import StateMark from '~/ui/gauge/StateMark.vue'

const props = defineProps<{
  job: Job
  model: string
  kind: SetKind
  done: Record<Stage, boolean>
  stages: readonly Stage[]
  jobKind: JobKind | null
  nextStepTitle: string | null
  waitsFor: WaitsFor | null
  stopped: boolean
  warmUp: WarmUp | null
  soakEndsAtMs: number | null
  lastEventAtMs: number | null
  nowMs: number
}>()
const stage = computed(() => nextStage(props.stages, props.done))
const timer = computed(() => timerWords(props, props.nowMs))
/** The usual kind needs no word. */
const kindWords = computed(() =>
  props.jobKind === null || props.jobKind === USUAL_JOB_KIND ? '' : `, ${jobKindWords(props.jobKind)}`,
)
const late = computed(
  () => props.job.onBench && props.job.promisedOn !== null && props.job.promisedOn < localDay(props.nowMs),
)
const WORK: Record<Stage, string> = {
  'intake': t('job.completeTheIntake'),
  'inspection': t('job.firstPowerAndInspection'),
  'as-found': t('job.measureAsFoundBeforeAnyAdjustment'),
  'findings': t('job.closeTheFindings'),
  'repair': t('job.repairIt'),
  'align': t('job.alignIt'),
  'trials': t('trial.showIt'),
  'as-left': t('job.measureAsLeft'),
  'soak': t('job.soakIt'),
  'handover': t('job.handOver'),
}
/** What is handed over is due no more. */
const when = computed(() => {
  const last = props.lastEventAtMs === null ? null : dayAndTime(props.lastEventAtMs)
  if (!props.job.onBench) return last ? t('job.lastEntryOn', { dayAndTime: last }) : ''
  const due = props.job.promisedOn ? t('job.due', { day: day(props.job.promisedOn) }) : t('common.noDueDate')
  return last ? `${due}${t('job.lastEntry', { dayAndTime: last })}` : due
})
const next = computed(() => {
  if (!props.job.onBench) return t('job.handedOverState')
  if (props.stopped) return t('job.keepItOffIsolateTheShort')
  if (props.waitsFor) return waitWords(props.waitsFor)
  return stage.value === 'align' && props.nextStepTitle
    ? t('job.alignStep', { title: translated(props.nextStepTitle) })
    : WORK[stage.value]
})
</script>

<template>
  <NuxtLink
    class="job-row"
    prefetch-on="interaction"
    :to="`/jobs/${job.id}/${job.onBench ? stage : 'handover'}`"
  >
    <b class="fig">{{ jobTag(job.number) }}</b>
    <span class="what"
      ><b>{{ model }}</b
      >{{ ' ' }} <span class="quiet">{{ t('job.serialNumber', { serial: job.serial }) }}</span><br /><span
        class="quiet"
        >{{ job.owner }}{{ kindWords }}</span
      ></span
    >
    <span class="complaint">{{ job.complaint }}</span>
    <span v-if="job.onBench" class="marks" :aria-label="t('job.phaseIs', { stage: t(STAGE_NAMES[stage]) })"
      ><StateMark
        v-for="s in stages"
        :key="s"
        aria-hidden="true"
        :mark="done[s] ? 'inside' : 'none'"
        :size="11"
    /></span>
    <!-- What was handed over may have left phases open: its own page says so. -->
    <span v-else class="marks" />
    <span class="next"
      ><b v-if="job.onBench">{{ waitsFor ? '' : `${t('job.nextIs')} ` }}{{ next }}</b
      ><span v-else>{{ next }}</span
      ><span v-if="timer" class="timer">{{ timer }}</span
      ><br /><span class="quiet"
        ><b v-if="late" class="late">{{ t('job.late') }} </b>{{ when }}</span
      ></span
    >
  </NuxtLink>
</template>

<style scoped>
.job-row {
  display: grid;
  grid-template-columns: 84px minmax(150px, 1.1fr) minmax(160px, 1.6fr) 84px minmax(220px, 1.6fr);
  gap: 16px;
  align-items: center;
  min-height: 64px;
  padding: 10px 4px;
  border-bottom: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
}
.job-row:hover {
  background: var(--sheet);
}
.job-row > b {
  font-size: 16px;
}
.complaint {
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
.marks {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  width: 76px;
}
.quiet {
  font-size: 13px;
}
.late {
  color: var(--out);
}
.timer {
  margin-left: 10px;
  padding: 1px 8px;
  border: 1px solid var(--edge);
  border-radius: 10px;
  font-size: 13px;
  white-space: nowrap;
}
@media (max-width: 700px) {
  .job-row {
    grid-template-columns: 74px 1fr;
    gap: 4px 10px;
  }
  .complaint,
  .next,
  .marks {
    grid-column: 2;
  }
}
</style>
