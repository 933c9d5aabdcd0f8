<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { t, translated } from '#shared/i18n'
import { computed, onMounted, shallowRef, watch } from 'vue'
import { causeOf } from '#core/diagnose'
import type { ModelSheet } from '#core/sheet'
import type { ModelHistory } from '#shared/search'
import { MIN_SETS, spreadLines } from '#shared/words/spreadView'
import SpreadChart from './SpreadChart.vue'

/** What every set of a model has told so far: typical faults, and the spread of its as-found values. */
const props = defineProps<{
  sheet: ModelSheet
  jobId: string | null
  night: boolean
  load: (sheetId: string, jobId: string | null) => Promise<ModelHistory | null>
}>()
/** Causes that are named; the others were met too seldom to be typical. */
const MOST = 12
const known = shallowRef<ModelHistory | null>(null)
const lines = computed(() => (known.value ? spreadLines(props.sheet, known.value.spread) : []))
const read = async () => (known.value = await props.load(props.sheet.id, props.jobId))
onMounted(read)
watch(() => [props.sheet.id, props.jobId], read)
</script>

<template>
  <section :aria-label="t('search.otherSetsOfThisModel')">
    <h2>{{ t('search.otherSetsOfThisModel') }}</h2>
    <p v-if="!known" class="quiet">{{ t('search.noDataOnOtherSetsAt') }}</p>
    <template v-else>
      <p>
        {{ t('search.jobsOn', { jobs: known.jobs, model: sheet.model }) }}
        <template v-if="known.causes.length > 0">{{ t('search.typicalFaults') }} </template><span
          v-for="(c, i) in known.causes.slice(0, MOST)"
          :key="c.causeId"
          >{{ i ? ', ' : '' }}{{ midSentence(translated(causeOf(c.causeId).title)) }}
          <b class="fig">{{ c.count }}</b></span
        >{{ known.causes.length > 0 ? '.' : t('search.noCauseConfirmedYetConfirmedCauses') }}
      </p>
      <SpreadChart v-if="lines.length > 0" :lines="lines" :night="night" :own="jobId !== null" />
      <p v-else class="quiet">
        {{ t('search.theSpreadOfAsFoundValues', { minsets: MIN_SETS }) }}
      </p>
    </template>
  </section>
</template>

<style scoped>
section {
  border-top: 1px solid var(--line2);
  margin-top: 22px;
  padding-top: 12px;
}
h2 {
  margin: 0;
}
</style>
