<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { ref } from 'vue'
import { REMINDER_CONDITIONS, type Reminder } from '#core/work'
import type { NewWorkEvent } from '../../logic/useEventForm'
import ReminderLine from './ReminderLine.vue'

/** "If this shows, then do that": comes up by itself when the readings make it true. */
defineProps<{ reminders: readonly Reminder[]; problem: string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
const condition = ref(REMINDER_CONDITIONS[0]!.id)
const text = ref('')

function add() {
  if (text.value.trim() === '') return
  emit('send', { kind: 'reminder-set', condition: condition.value, text: text.value.trim() }, () => {
    text.value = ''
  })
}
</script>

<template>
  <section :aria-label="t('job.reminders')">
    <h2>{{ t('job.reminders') }}</h2>
    <p v-if="reminders.length === 0" class="quiet">
      {{ t('job.noneForAnythingOddThatIs') }}
    </p>
    <ul class="list">
      <li v-for="r in reminders" :key="r.id">
        <ReminderLine :reminder="r" />
      </li>
    </ul>
    <div class="entry">
      <v-select
        v-model="condition"
        :label="t('job.when')"
        :items="REMINDER_CONDITIONS.map(c => ({ value: c.id, title: translated(c.words) }))"
      />
      <v-text-field
        v-model="text"
        :label="t('job.then')"
        :placeholder="t('job.dressTheSpreadCoils')"
        :error-messages="problem"
        @keydown.enter="add"
      />
      <v-btn size="large" :disabled="text.trim() === ''" @click="add">{{ t('job.addReminder') }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0;
  margin: 4px 0 8px;
}
.list li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
}
.entry {
  display: grid;
  grid-template-columns: minmax(200px, 330px) minmax(200px, 1fr) auto;
  gap: 10px;
  align-items: start;
  max-width: 980px;
}
@media (max-width: 760px) {
  .entry {
    grid-template-columns: 1fr;
  }
}
</style>
