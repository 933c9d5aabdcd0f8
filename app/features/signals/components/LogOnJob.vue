<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { computed, ref, shallowRef, watch } from 'vue'
import type { JudgedSignal } from '#core/signal'
import type { MeasurePoint, ModelSheet } from '#core/sheet'
import type { JobSummary } from '#shared/bench'
import { jobTag } from '#shared/jobTag'

/** Which job, phase and row the figures belong to. A row takes those figures that it asks for. */
const props = defineProps<{
  judged: JudgedSignal
  jobs: readonly JobSummary[]
  revision: (id: string, number: number) => Promise<ModelSheet | null>
  jobId: string | null
  sending: number | null
  kept: string | null
  failure: string | null
}>()
const emit = defineEmits<{
  log: [jobId: string, phase: 'as-found' | 'as-left', point: MeasurePoint | null, load: string]
}>()
const chosen = ref<string | null>(props.jobId)
const phase = ref<'as-found' | 'as-left'>('as-found')
const pointId = ref<string | null>(null)
const here = computed(() => props.jobs.filter(j => j.job.onBench))
const job = computed(() => here.value.find(j => j.job.id === chosen.value)?.job ?? null)
const gives = computed(() => new Set(props.judged.readings.map(r => r.quantity)))
const sheet = shallowRef<ModelSheet | null>(null)
watch(
  job,
  async j => {
    sheet.value = j ? await props.revision(j.sheetId, j.sheetRevision) : null
  },
  { immediate: true },
)
/** Rows of the same mode that ask for something this recording tells, its channel first. */
const points = computed(() => {
  if (!sheet.value) return []
  const { mode, channel } = props.judged
  const asked = (p: MeasurePoint) => p.wants.filter(w => gives.value.has(w.quantity)).length
  return sheet.value.matrix
    .filter(p => asked(p) > 0 && (mode === null || p.state.mode === mode))
    .sort(
      (a, b) =>
        Number(b.state.channel === channel) - Number(a.state.channel === channel) || asked(b) - asked(a),
    )
})
watch(points, list => list.some(p => p.id === pointId.value) || (pointId.value = list[0]?.id ?? null), {
  immediate: true,
})
watch(here, list => (chosen.value ??= list[0]?.job.id ?? null), { immediate: true })
const point = computed(() => points.value.find(p => p.id === pointId.value) ?? null)
const words = (p: MeasurePoint) =>
  `${p.title}: ${p.wants
    .filter(w => gives.value.has(w.quantity))
    .map(w => midSentence(quantityLabel(w.quantity)))
    .join(', ')}`
</script>

<template>
  <section class="log no-print" :aria-label="t('signals.addToJob')">
    <h2>{{ t('signals.addToJob') }}</h2>
    <div class="fields">
      <v-select
        v-model="chosen"
        :label="t('signals.job')"
        :items="here.map(j => ({ value: j.job.id, title: `${jobTag(j.job.number)} ${j.job.owner}` }))"
        :no-data-text="t('signals.noOpenJobs')"
      />
      <v-select
        v-model="phase"
        :label="t('signals.phase')"
        :items="[
          { value: 'as-found', title: t('common.asFound') },
          { value: 'as-left', title: t('common.asLeft') },
        ]"
      />
      <v-select
        v-model="pointId"
        :label="t('signals.row')"
        :items="points.map(p => ({ value: p.id, title: words(p) }))"
        :no-data-text="t('signals.noRowOfThisSetMeasures')"
      />
      <v-btn
        size="large"
        variant="flat"
        color="primary"
        :disabled="!job"
        :loading="sending !== null"
        @click="emit('log', job!.id, phase, point, sheet?.load ?? '')"
        >{{ point ? t('signals.saveReadingsAndRecording') : t('signals.saveRecording') }}</v-btn
      >
    </div>
    <p v-if="sending !== null" role="status" class="quiet">
      {{ t('signals.savingTheRecording', { sending: Math.round(sending * 100) }) }}
    </p>
    <p v-else-if="kept" role="status">
      <b>{{ kept }}</b>
    </p>
    <p v-if="failure" class="care" role="alert">{{ failure }}</p>
  </section>
</template>

<style scoped>
.log {
  border-top: 1px solid var(--line2);
  margin-top: 18px;
  padding-top: 10px;
}
h2 {
  margin: 0 0 10px;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 150px 1.6fr auto;
  gap: 12px;
  align-items: start;
}
@media (max-width: 900px) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
