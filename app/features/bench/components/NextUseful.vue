<script setup lang="ts">
import { localDay } from '#shared/words/dateWords'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { nextUseful, stagesAhead, type BenchJob, type BlockedPeriod } from '#core/work'
import type { JobSummary } from '#shared/bench'
import { suggestionWords } from '#shared/words/benchWords'

/** The next useful thing to do, and what else could go on meanwhile. */
const props = defineProps<{ here: readonly JobSummary[]; blocked: readonly BlockedPeriod[]; nowMs: number }>()
const emit = defineEmits<{ switchOn: [jobId: string] }>()
const SHOWN = 3
const jobs = computed<BenchJob[]>(() =>
  props.here.map(({ job, done, stages, waitsFor, stopped, warmUp, soakEndsAtMs }) => ({
    id: job.id,
    sheetId: job.sheetId,
    ahead: stagesAhead(stages, done),
    waitsFor,
    stopped,
    warmUp,
    soakEndsAtMs,
    promisedOn: job.promisedOn,
  })),
)
const suggestions = computed(() =>
  nextUseful(jobs.value, props.nowMs, localDay(props.nowMs), props.blocked).slice(0, SHOWN),
)
const words = (s: (typeof suggestions.value)[number]) =>
  suggestionWords(s, id => props.here.find(h => h.job.id === id)!)
const stageOf = (id: string) => jobs.value.find(j => j.id === id)!.ahead[0]!
</script>

<template>
  <ol v-if="suggestions.length > 0" class="next" :aria-label="t('bench.doNext')">
    <li v-for="(s, i) in suggestions" :key="s.kind + s.jobId" :class="{ first: i === 0 }">
      <button v-if="s.kind === 'switch-on'" type="button" @click="emit('switchOn', s.jobId)">
        <b>{{ words(s).title }}</b><span>{{ words(s).why }}</span>
      </button>
      <NuxtLink v-else :to="`/jobs/${s.jobId}/${stageOf(s.jobId)}`" prefetch-on="interaction"
        ><b>{{ words(s).title }}</b
        ><span>{{ words(s).why }}</span></NuxtLink
      >
    </li>
  </ol>
</template>

<style scoped>
.next {
  list-style: none;
  margin: 0 0 14px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0 24px;
  border-top: 1px solid var(--line2);
  border-bottom: 1px solid var(--line2);
}
li {
  border-left: 3px solid transparent;
}
li.first {
  border-left-color: var(--accent);
}
a,
button {
  display: flex;
  flex-direction: column;
  width: 100%;
  min-height: 64px;
  justify-content: center;
  padding: 8px 12px;
  text-align: left;
  color: var(--ink);
  text-decoration: none;
}
a:hover,
button:hover {
  background: var(--sheet);
}
li.first b {
  color: var(--accent);
}
span {
  font-size: 13.5px;
  color: var(--ink2);
}
@media (max-width: 900px) {
  .next {
    grid-template-columns: 1fr;
  }
}
</style>
