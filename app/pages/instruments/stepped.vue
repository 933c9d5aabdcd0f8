<script setup lang="ts">
import type { SteppedView } from '#shared/instrumentCommands'
import { messageWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import { computed, onMounted, onBeforeUnmount } from 'vue'
import { useCookie, useHead } from '#imports'
import Papa from 'papaparse'
import SteppedChart from '~/features/instruments/components/SteppedChart.vue'
import SteppedForm from '~/features/instruments/components/SteppedForm.vue'
import { saveFile } from '../../data/saveFile'
import { steppedCsv, summaryWords } from '~/features/instruments/logic/steppedWords'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useSteppedStore } from '~/features/instruments/store/stepped'

const instruments = useInstrumentsStore()
const store = useSteppedStore()
const theme = useCookie<'day' | 'night'>('theme', { default: () => 'day' })
const run = computed(() => store.run)
const STATES = {
  running: 'instruments.runRunning',
  done: 'instruments.runFinished',
  cancelled: 'instruments.runStopped',
  failed: 'instruments.runFailed',
} as const
const isFailed = ({ state, says }: SteppedView) =>
  state === 'failed' || says.some(m => m.code === 'gateway.notRestored')
useHead({ title: t('instruments.steppedMeasurement') })
onMounted(() => {
  void instruments.load()
  void store.look()
})
onBeforeUnmount(() => store.leave())
function save() {
  saveFile(
    new Blob([Papa.unparse(steppedCsv(run.value!.plan, run.value!.points))], { type: 'text/csv' }),
    `stepped-${run.value!.plan.read}.csv`,
  )
}
</script>

<template>
  <div class="page">
    <h1>{{ t('instruments.steppedMeasurement') }}</h1>
    <p class="lead">
      {{ t('instruments.oneInstrumentIsSetStepBy') }}
    </p>
    <SteppedForm
      v-if="instruments.items"
      :items="instruments.items"
      :running="run?.state === 'running'"
      @start="store.start"
    />
    <p v-if="store.failure" class="care" role="alert">{{ store.failure.words }}</p>
    <section v-if="run" class="run" :aria-label="t('instruments.run')">
      <div class="line">
        <b role="status">{{
          t('instruments.of', { count: run.points.length, of: run.of, states: t(STATES[run.state]) })
        }}</b>
        <v-progress-linear
          class="bar"
          :model-value="(100 * run.points.length) / run.of"
          color="primary"
          height="8"
          :aria-label="t('instruments.progress')"
        />
        <v-btn v-if="run.state === 'running'" @click="store.cancel">{{ t('instruments.stop') }}</v-btn>
        <v-btn v-else-if="run.points.length > 0" @click="save">{{ t('instruments.saveAsCsv') }}</v-btn>
      </div>
      <p v-if="run.says.length > 0" :class="{ care: isFailed(run) }">
        {{ run.says.map(messageWords).join(' ') }}
      </p>
      <p v-if="run.state !== 'running'" class="says">{{ summaryWords(run.plan, run.points) }}</p>
      <SteppedChart :plan="run.plan" :points="run.points" :night="theme === 'night'" />
    </section>
  </div>
</template>

<style scoped>
.run {
  margin-top: 18px;
}
.line {
  display: flex;
  gap: 16px;
  align-items: center;
  flex-wrap: wrap;
}
.bar {
  flex: 1 1 200px;
}
.says {
  font-size: 19px;
  margin: 6px 0;
}
</style>
