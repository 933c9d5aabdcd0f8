<script setup lang="ts">
import type { Reminder } from '#core/work'
import { t, translated } from '#shared/i18n'
import StateMark from '~/ui/gauge/StateMark.vue'

/** A reminder, and the row that makes it due. */
defineProps<{ reminder: Reminder }>()
const MARKS = { 'outside': 'above', 'cannot-tell': 'cannot-tell', 'none': 'none' } as const
const DUE_WORDS = { 'outside': 'job.reminderDue', 'cannot-tell': 'job.reminderMayBeDue' } as const
</script>

<template>
  <StateMark aria-hidden="true" :mark="MARKS[reminder.because?.verdict ?? 'none']" :size="12" /><span
    ><b v-if="reminder.because">{{ t(DUE_WORDS[reminder.because.verdict]) }}</b
    >{{ reminder.because ? ' ' : '' }}{{ translated(reminder.conditionWords) }},
    {{ reminder.text }}
    <span v-if="reminder.because" class="quiet">{{
      t('job.fromRow', { row: translated(reminder.because.point.title) })
    }}</span></span
  >
</template>
