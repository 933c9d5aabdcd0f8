<script setup lang="ts">
import { t } from '#shared/i18n'

/** What is not stored yet stays in sight on the rail, whatever of the page is looked at. */
defineProps<{ waiting: number; refused: number }>()
const emit = defineEmits<{ show: [] }>()
</script>

<template>
  <button type="button" class="unsent no-print" @click="emit('show')">
    <b v-if="waiting > 0">{{ t('frame.entriesNotSentYet', { waiting }) }}</b>
    <b v-if="refused > 0">{{ t('frame.entriesRejected', { refused }) }}</b>
    <span>{{ t('frame.keptInThisBrowser') }}</span>
  </button>
</template>

<style scoped>
.unsent {
  display: flex;
  flex-direction: column;
  justify-content: center;
  padding: 0 14px;
  border-left: 4px dashed var(--unsure);
  white-space: nowrap;
  text-align: left;
  color: var(--ink);
  font-size: 13px;
}
.unsent span {
  font-size: 12px;
  color: var(--ink2);
  text-decoration: underline;
}
</style>
