<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { quantityLabel } from '#shared/words/quantityWords'
import { t, translated } from '#shared/i18n'
import { computed } from 'vue'
import type { EarlierJob } from '#shared/earlierJob'
import { jobTag } from '#shared/jobTag'
import { dayAndTime } from '#shared/words/dateWords'
import { showAgainst } from '#shared/words/verdictWords'
import StateMark from '~/ui/gauge/StateMark.vue'

/** What this set was here for before, and how it was left last. */
const props = defineProps<{
  jobs: readonly EarlierJob[]
  /** set = no model is chosen yet: these may be other sets with the same serial number */
  modelOf?: (sheetId: string) => string
}>()
defineEmits<{ choose: [sheetId: string] }>()
const models = computed(() => (props.modelOf ? [...new Set(props.jobs.map(e => e.job.sheetId))] : []))
function whereabouts({ job, handedOverAtMs }: EarlierJob): string {
  if (handedOverAtMs) return t('job.handedOverOn', { dayAndTime: dayAndTime(handedOverAtMs) })
  return job.onBench ? t('job.stillInTheWorkshop') : t('job.noHandoverRecorded')
}
const last = computed(() => props.jobs.find(j => j.asLeft.length > 0) ?? null)
const notInside = computed(() => last.value?.asLeft.filter(l => l.verdict !== 'inside') ?? [])
</script>

<template>
  <section
    class="earlier"
    :aria-label="modelOf ? t('job.setsWithThisSerialNumber') : t('job.earlierJobsOfThisSet')"
  >
    <h2>{{ modelOf ? t('job.setsWithThisSerialNumber') : t('job.earlierJobs') }}</h2>
    <p v-for="e in jobs" :key="e.job.id">
      <NuxtLink :to="`/jobs/${e.job.id}/handover`"
        ><b class="fig">{{ jobTag(e.job.number) }}</b></NuxtLink
      >{{ ' ' }}
      <template v-if="modelOf">{{ modelOf(e.job.sheetId) }}{{ ' ' }}</template>
      <span class="quiet">{{ whereabouts(e) }}</span>
      {{ e.job.complaint }}
      <span v-if="e.planned.length > 0" class="planned"
        ><b>{{ t('common.plannedForALaterVisit') }}</b> {{ e.planned.join('; ') }}</span
      >
    </p>
    <v-btn v-for="id in models" :key="id" class="mr-2" @click="$emit('choose', id)">{{
      t('job.itIsThisModel', { model: modelOf!(id) })
    }}</v-btn>
    <template v-if="last && !modelOf">
      <p class="quiet">{{ t('job.lastAsLeft', { jobTag: jobTag(last.job.number) }) }}</p>
      <details :open="notInside.length > 0">
        <summary>
          {{
            t('job.judgedReadings', {
              count: last.asLeft.length,
              what:
                notInside.length === 0 ? t('job.allWithin') : t('job.notWithin', { count: notInside.length }),
            })
          }}
        </summary>
        <ul>
          <li v-for="l in last.asLeft" :key="`${l.rowTitle}-${l.quantity}`">
            <StateMark :mark="l.verdict" :size="11" /> {{ translated(l.rowTitle) }},
            {{ l.nominalHz === null ? midSentence(quantityLabel(l.quantity)) : t('job.frequencyError') }}
            <b class="fig"
              >{{ showAgainst(l, l.quantity, l.nominalHz).value }}&#8239;{{
                showAgainst(l, l.quantity, l.nominalHz).unit
              }}</b
            >
          </li>
        </ul>
      </details>
    </template>
  </section>
</template>

<style scoped>
.earlier {
  border-left: 3px solid var(--accent);
  padding: 2px 0 2px 14px;
}
.planned {
  display: block;
}
.earlier summary {
  min-height: 36px;
  cursor: pointer;
  font-weight: 600;
}
.earlier p {
  margin: 3px 0;
}
.earlier ul {
  list-style: none;
  padding: 0;
  font-size: 13.5px;
}
.earlier li {
  display: flex;
  gap: 7px;
  align-items: center;
}
</style>
