<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { RowState } from '#core/run'
import { judgedReadings, readingGroups } from '~/features/align/logic/readingGroups'
import StateMark from '~/ui/gauge/StateMark.vue'

/** Readings that are not inside, each with why; the readings that contradict; how many are in order. */
const props = defineProps<{
  rows: readonly RowState[]
  doubts: readonly { title: string; words: string }[]
}>()
const judged = computed(() => judgedReadings(props.rows))
const outside = computed(() => judged.value.filter(j => j.verdict === 'above' || j.verdict === 'below'))
const undecided = computed(() => judged.value.filter(j => j.verdict === 'cannot-tell'))
const groups = computed(() => [...readingGroups(outside.value), ...readingGroups(undecided.value)])
/** The same doubt about many rows is one doubt about the meter. */
const doubtGroups = computed(() => {
  const kinds = new Map<string, { title: string; words: string }[]>()
  for (const d of props.doubts) {
    const kind = d.words.replace(/[\d.,\u2009]+/g, '#')
    kinds.set(kind, [...(kinds.get(kind) ?? []), d])
  }
  return [...kinds.values()].map(all => ({ ...all[0]!, more: all.slice(1).map(d => d.title) }))
})
</script>

<template>
  <section :aria-label="t('findings.readings')">
    <p>
      <b class="fig">{{ outside.length }}</b> {{ t('findings.outsideTolerance') }}
      <b class="fig">{{ undecided.length }}</b> {{ t('findings.cannotTell') }}
      <b class="fig">{{ judged.length - outside.length - undecided.length }}</b>
      {{ t('findings.withinOfJudgedReadings', { count: judged.length }) }}
    </p>
    <ul class="list">
      <li v-for="g in groups" :key="g.name + g.shown">
        <StateMark :mark="g.verdict" :size="12" /><span
          >{{ g.name }} <b class="fig">{{ g.shown }}</b> <span class="quiet">{{ g.why }}</span>
          <details v-if="g.rows.length > 1">
            <summary>{{ t('findings.whichRows') }}</summary>
            {{ g.rows.join(', ') }}
          </details></span
        >
      </li>
    </ul>
    <template v-if="doubtGroups.length"
      ><h2>{{ t('findings.implausibleReadings') }}</h2>
      <p class="quiet">{{ t('findings.resolveTheseFirstDoNotAdjust') }}</p>
      <ul class="list">
        <li v-for="d in doubtGroups" :key="d.title + d.words">
          <span
            ><b>{{ d.title }}</b
            >: {{ d.words }}
            <details v-if="d.more.length">
              <summary>{{ t('findings.andSimilarRows', { count: d.more.length }) }}</summary>
              {{ d.more.join(', ') }}
            </details></span
          >
        </li>
      </ul></template
    >
  </section>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0 !important;
  margin: 4px 0 0;
  columns: 2;
  column-gap: 28px;
  font-size: 14px;
}
.list li {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 2px 0;
  break-inside: avoid;
}
.list :deep(.state-mark) {
  align-self: center;
  flex: none;
}
details {
  font-size: 13px;
  color: var(--ink2);
}
summary {
  cursor: pointer;
  min-height: 28px;
}
@media (max-width: 900px) {
  .list {
    columns: 1;
  }
}
</style>
