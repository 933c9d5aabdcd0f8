<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import type { JobSummary } from '#shared/bench'
import { jobTag } from '#shared/jobTag'

/** Sets of the same model that are on the bench: a batch is aligned side by side. */
defineProps<{ others: readonly JobSummary[] }>()
</script>

<template>
  <nav v-if="others.length > 0" class="batch" :aria-label="t('align.otherSetsOfThisModel')">
    <span class="quiet">{{ t('align.sameModel') }}</span>
    <NuxtLink v-for="o in others" :key="o.job.id" :to="`/jobs/${o.job.id}/align`"
      ><b>{{ jobTag(o.job.number) }}</b>
      {{ o.nextStepTitle === null ? t('align.allDone') : translated(o.nextStepTitle) }}</NuxtLink
    >
  </nav>
</template>

<style scoped>
.batch {
  display: flex;
  gap: 6px 14px;
  flex-wrap: wrap;
  align-items: center;
  font-size: 13.5px;
  padding: 4px 0 0;
}
a {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 44px;
  color: var(--accent);
}
</style>
