<script setup lang="ts">
import type { PartTested } from '#core/run'
import { partVerdict } from '#core/work'
import { partTestWords, partVerdictWords } from '#shared/words/workWords'
import StateMark from '~/ui/gauge/StateMark.vue'

/** Tests of parts with what they prove: DC gain alone never passes one. */
defineProps<{ tested: readonly PartTested[] }>()
const VERDICT_MARK = {
  'accepted': 'inside',
  'rejected': 'above',
  'doubtful': 'cannot-tell',
  'not-proved': 'none',
} as const
</script>

<template>
  <ul class="tests">
    <li v-for="t in tested" :key="t.id">
      <StateMark aria-hidden="true" :mark="VERDICT_MARK[partVerdict(t)]" :size="12" />{{ ' ' }}
      <span
        ><b>{{ t.part }}</b> {{ partVerdictWords(t) }} <span class="quiet">{{ partTestWords(t) }}</span></span
      >
    </li>
  </ul>
</template>

<style scoped>
.tests {
  list-style: none;
  padding: 0 !important;
  margin: 2px 0 8px;
}
.tests li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 2px 0;
}
</style>
