<script setup lang="ts">
import { computed } from 'vue'
import type { Reminder } from '#core/work'
import { t } from '#shared/i18n'
import ReminderLine from './ReminderLine.vue'

/** Reminders that a reading made due, where that reading is looked at. */
const props = defineProps<{ reminders: readonly Reminder[] }>()
const due = computed(() => props.reminders.filter(r => r.because !== null))
</script>

<template>
  <ul v-if="due.length > 0" class="due" :aria-label="t('job.reminders')">
    <li v-for="r in due" :key="r.id"><ReminderLine :reminder="r" /></li>
  </ul>
</template>

<style scoped>
.due {
  list-style: none;
  padding: 0;
  margin: 0 0 12px;
}
li {
  display: flex;
  gap: 10px;
  align-items: baseline;
  padding: 4px 0;
}
</style>
