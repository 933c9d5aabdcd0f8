<script setup lang="ts">
import { t } from '#shared/i18n'
import type { HandoverIssue } from '#shared/handoverIssue'
import { dayAndTime } from '#shared/words/dateWords'

/** The papers of a job: a draft until it is handed over, then every issue as it was frozen. */
defineProps<{ jobId: string; issues: readonly HandoverIssue[]; corrected: boolean; linksOpen: boolean }>()
const emit = defineEmits<{ links: [] }>()
const COPIES = [
  { copy: 'owner', label: t('job.ownersCopyPdf') },
  { copy: 'shop', label: t('job.workshopCopyPdf') },
] as const
</script>

<template>
  <section class="papers no-print" :aria-label="t('job.reports')">
    <h2>{{ t('job.reports') }}</h2>
    <p v-if="issues.length === 0">
      {{ t('job.draft') }}
      <a
        v-for="c in COPIES"
        :key="c.copy"
        :href="`/api/jobs/${jobId}/handover.pdf?copy=${c.copy}`"
        target="_blank"
        >{{ c.label }}</a
      >
    </p>
    <p v-for="i in issues" :key="i.number">
      {{ t('job.issueOf', { number: i.number, dayAndTime: dayAndTime(i.atMs) }) }}
      <a
        v-for="c in COPIES"
        :key="c.copy"
        :href="`/api/jobs/${jobId}/handover.pdf?copy=${c.copy}&issue=${i.number}`"
        target="_blank"
        >{{ c.label }}</a>{{ ' ' }}
      <a :href="`/api/jobs/${jobId}/issues/${i.number}/record.json`" target="_blank">{{
        t('job.record')
      }}</a>{{ ' ' }}
      <span class="quiet fig">{{ t('job.sha256', { checksum: i.checksum.slice(0, 16) }) }}</span>
      <span v-if="i.printedChecksum" class="quiet">{{
        t('job.printedChecksum', { checksum: i.printedChecksum.slice(0, 16) })
      }}</span>
    </p>
    <v-btn v-if="issues.length > 0" height="44" :aria-expanded="linksOpen" @click="emit('links')"
      >{{ t('job.ownerLinks') }}&hellip;</v-btn
    >
    <p v-if="corrected" class="quiet">{{ t('job.entriesAddedSinceCreateANew') }}</p>
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
