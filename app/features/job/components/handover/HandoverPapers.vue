<script setup lang="ts">
import type { HandoverIssue } from '#shared/handoverIssue'
import { dayAndTime } from '#shared/words/runWords'

/** The papers of a job: a draft until it is handed over, then every issue as it was frozen. */
defineProps<{ jobId: string; issues: readonly HandoverIssue[]; corrected: boolean }>()
const COPIES = [
  { copy: 'owner', label: "Owner's copy (PDF)" },
  { copy: 'shop', label: 'Workshop copy (PDF)' },
] as const
</script>

<template>
  <section class="papers no-print" aria-label="Reports">
    <h2>Reports</h2>
    <p v-if="issues.length === 0">
      Draft
      <a
        v-for="c in COPIES"
        :key="c.copy"
        :href="`/api/jobs/${jobId}/handover.pdf?copy=${c.copy}`"
        target="_blank"
        >{{ c.label }}</a
      >
    </p>
    <p v-for="i in issues" :key="i.number">
      Issue {{ i.number }} of {{ dayAndTime(i.atMs) }}
      <a
        v-for="c in COPIES"
        :key="c.copy"
        :href="`/api/jobs/${jobId}/handover.pdf?copy=${c.copy}&issue=${i.number}`"
        target="_blank"
        >{{ c.label }}</a>{{ ' ' }}
      <a :href="`/api/jobs/${jobId}/issues/${i.number}/record.json`" target="_blank">record</a>{{ ' ' }}
      <span class="quiet fig">SHA-256 {{ i.checksum.slice(0, 16) }}</span>
    </p>
    <p v-if="corrected" class="quiet">Entries added since. Create a new issue to include them.</p>
  </section>
</template>

<style scoped>
.papers p {
  margin: 0;
  min-height: 40px;
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: center;
}
.papers a {
  min-height: 40px;
  display: inline-flex;
  align-items: center;
}
</style>
