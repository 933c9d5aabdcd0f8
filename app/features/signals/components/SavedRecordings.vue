<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { groupDigits } from '#core/quantity'
import type { Phase } from '#core/run'
import { t } from '#shared/i18n'
import type { KeptRecording } from '#shared/recording'
import { dayAndTime } from '#shared/words/dateWords'
import { phaseWords } from '#shared/words/eventWords'

/** Recordings that were kept, to be opened again. */
defineProps<{ kept: readonly KeptRecording[] }>()
const emit = defineEmits<{ open: [id: string] }>()
</script>

<template>
  <div>
    <h2>{{ t('signals.savedRecordings') }}</h2>
    <ul>
      <li v-for="k in kept" :key="k.id">
        <button type="button" class="text-button" @click="emit('open', k.id)">{{ k.name }}</button>{{ ' ' }}
        <span class="quiet">{{
          t('signals.mb', {
            dayAndTime: dayAndTime(k.createdAtMs),
            bytes: groupDigits(k.bytes / 1e6, 1),
            what: k.phase ? `, ${midSentence(phaseWords(k.phase as Phase))}` : '',
          })
        }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
</style>
