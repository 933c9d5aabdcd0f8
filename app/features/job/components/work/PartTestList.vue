<script setup lang="ts">
import type { PartTested } from '#core/run'
import { partVerdict } from '#core/work'
import { PART_KIND_WORDS, partTestWords, partVerdictWords } from '#shared/words/partWords'
import { t } from '#shared/i18n'
import { VERDICT_MARK } from '../../logic/partMarks'
import StateMark from '~/ui/gauge/StateMark.vue'

/** Tests of parts with what they prove: DC gain alone never passes one. */
defineProps<{ tested: readonly PartTested[] }>()
</script>

<template>
  <ul class="tests">
    <li v-for="p in tested" :key="p.id">
      <StateMark aria-hidden="true" :mark="VERDICT_MARK[partVerdict(p)]" :size="12" />{{ ' ' }}
      <span
        ><b>{{ p.part }}</b> {{ partVerdictWords(p) }}
        <span class="quiet"
          >{{ t(PART_KIND_WORDS[p.partKind ?? 'transistor']) }}, {{ partTestWords(p) }}</span
        ></span
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
