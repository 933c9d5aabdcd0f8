<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import type { BlockedPeriod } from '#core/work'
import { day, localDay } from '#shared/words/dateWords'

/** Weeks in which other work takes the bench: promised dates are counted around them. */
defineProps<{ open: boolean; periods: readonly BlockedPeriod[]; failure: string | null }>()
const emit = defineEmits<{ close: []; add: [period: Omit<BlockedPeriod, 'id'>]; remove: [id: string] }>()
const today = localDay(Date.now())
const fromDay = ref(today)
const toDay = ref(today)
const why = ref('')

function add() {
  if (!why.value.trim()) return
  emit('add', { fromDay: fromDay.value, toDay: toDay.value, why: why.value.trim() })
  why.value = ''
}
</script>

<template>
  <v-dialog :model-value="open" max-width="640" @update:model-value="v => v || emit('close')">
    <v-card :title="t('bench.blockedDays')">
      <v-card-text>
        <p class="quiet">
          {{ t('bench.otherWorkHolidaysJobsNotFinished') }}
        </p>
        <ul v-if="periods.length > 0">
          <li v-for="p in periods" :key="p.id">
            <b>{{ t('bench.to', { fromDay: day(p.fromDay), toDay: day(p.toDay) }) }}</b> {{ p.why }}
            <v-btn
              size="small"
              height="40"
              variant="text"
              :aria-label="t('bench.remove', { why: p.why })"
              @click="emit('remove', p.id)"
              >{{ t('common.remove') }}</v-btn
            >
          </li>
        </ul>
        <p v-else>{{ t('bench.noBlockedDays') }}</p>
        <form class="entry" @submit.prevent="add">
          <v-text-field v-model="fromDay" type="date" :label="t('bench.firstDay')" /><v-text-field
            v-model="toDay"
            type="date"
            :label="t('bench.lastDay')"
          />
          <v-text-field
            v-model="why"
            class="why"
            :label="t('common.reason')"
            maxlength="200"
            :placeholder="t('bench.boatSeasonHolidays')"
          /><v-btn type="submit" size="large" :disabled="!why.trim()">{{ t('bench.add') }}</v-btn>
        </form>
        <p v-if="failure" class="care" role="alert">{{ failure }}</p>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn @click="emit('close')">{{ t('bench.done') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
.entry {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  margin-top: 14px;
}
@media (max-width: 600px) {
  .entry {
    grid-template-columns: 1fr;
  }
}
</style>
