<script setup lang="ts">
import { ref } from 'vue'
import { REMINDER_CONDITIONS, type Reminder } from '#core/work'
import type { NewWorkEvent } from '../../logic/useEventForm'
import StateMark from '~/ui/gauge/StateMark.vue'

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
  <section aria-label="Reminders">
    <h2>Reminders</h2>
    <p v-if="reminders.length === 0" class="quiet">
      None. For anything odd that is left alone, such as spread coils: the reminder returns when the readings
      call for it.
    </p>
    <ul class="list">
      <li v-for="r in reminders" :key="r.id">
        <StateMark aria-hidden="true" :mark="r.due ? 'above' : 'none'" :size="12" /><span
          ><b v-if="r.due">Due: </b>{{ r.conditionWords }}, {{ r.text }}</span
        >
      </li>
    </ul>
    <div class="entry">
      <v-select
        v-model="condition"
        label="When"
        :items="REMINDER_CONDITIONS.map(c => ({ value: c.id, title: c.words }))"
      />
      <v-text-field
        v-model="text"
        label="Then"
        placeholder="dress the spread coils"
        :error-messages="problem"
        @keydown.enter="add"
      />
      <v-btn size="large" :disabled="text.trim() === ''" @click="add">Add reminder</v-btn>
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
