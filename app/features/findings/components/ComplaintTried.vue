<script setup lang="ts">
import { ref } from 'vue'
import { COMPLAINT_RESULTS, type ComplaintTried } from '#core/run'
import { t } from '#shared/i18n'
import { dayAndTime } from '#shared/words/dateWords'
import { COMPLAINT_WORDS, complaintTriedWords } from '#shared/words/complaintWords'
import type { NewWorkEvent } from '~/features/job/logic/useEventForm'

/** What the owner says, and whether it shows on the bench: a complaint without a figure is settled too. */
defineProps<{
  complaint: string
  tried: readonly ComplaintTried[]
  wrong: (field: string) => string | undefined
}>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
const conditions = ref('')
function settle(result: ComplaintTried['result']) {
  emit('send', { kind: 'complaint-tried', result, text: conditions.value.trim() }, () => {
    conditions.value = ''
  })
}
</script>

<template>
  <section class="complaint" :aria-label="t('findings.doesItShow')">
    <h2>{{ t('common.complaint') }}</h2>
    <p class="words">{{ complaint }}</p>
    <ul v-if="tried.length > 0">
      <li v-for="e in tried" :key="e.id">
        {{ complaintTriedWords(e) }} <span class="quiet">{{ dayAndTime(e.atMs) }}</span>
      </li>
    </ul>
    <div class="entry no-print">
      <v-text-field
        v-model="conditions"
        :label="t('findings.underWhichConditions')"
        :placeholder="t('findings.exampleConditions')"
        :error-messages="wrong('text')"
      />
      <v-btn v-for="r in COMPLAINT_RESULTS" :key="r" size="large" @click="settle(r)">{{
        t(COMPLAINT_WORDS[r])
      }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.words {
  white-space: pre-wrap;
  max-width: 80ch;
  margin: 4px 0;
}
.entry {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: flex-start;
  margin: 6px 0 12px;
}
.entry > :first-child {
  flex: 1 1 320px;
}
</style>
