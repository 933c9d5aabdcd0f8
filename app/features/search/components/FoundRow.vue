<script setup lang="ts">
import { t } from '#shared/i18n'
import { dayMonthYear } from '#shared/words/dateWords'
import { jobTag } from '#shared/jobTag'
import type { FoundJob } from '#shared/search'

defineProps<{ job: FoundJob; model: string }>()
</script>

<template>
  <NuxtLink :to="`/jobs/${job.id}`" class="found">
    <b class="fig">{{ jobTag(job.number) }}</b>
    <span
      ><b>{{ model }}</b> <span class="fig">{{ job.serial }}</span><br /><span class="quiet">{{
        job.owner
      }}</span></span
    >
    <span class="what">{{ job.excerpt || job.complaint }}</span>
    <span class="quiet state"
      ><b v-if="job.isWithdrawn">{{ t('job.withdrawn') }}</b
      ><template v-else>{{ job.onBench ? t('search.onTheBench') : t('search.handedOver') }}</template
      ><br />{{ dayMonthYear(job.createdAtMs) }}</span
    >
  </NuxtLink>
</template>

<style scoped>
.found {
  display: grid;
  grid-template-columns: 90px 230px minmax(0, 1fr) auto;
  gap: 18px;
  padding: 10px 4px;
  min-height: 56px;
  border-bottom: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
  align-items: baseline;
}
.found:hover {
  background: var(--sheet);
}
.what {
  font-size: 14px;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
  overflow-wrap: anywhere;
}
.state {
  text-align: right;
  font-size: 13px;
}
@media (max-width: 700px) {
  .found {
    grid-template-columns: 80px 1fr;
  }
  .what,
  .state {
    grid-column: 2;
    text-align: left;
  }
}
</style>
