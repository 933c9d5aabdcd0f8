<script setup lang="ts">
import { ref } from 'vue'
import { WAITS_FOR } from '#core/run'
import { t } from '#shared/i18n'
import { WAIT_WORDS } from '#shared/words/workWords'
import type { NewWorkEvent } from '../../../logic/useEventForm'

/** What else the job waits for, from whom, until when. */
defineProps<{ wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept: () => void] }>()
const wait = ref({ waitsFor: 'parts' as (typeof WAITS_FOR)[number], text: '', untilDay: '' })
const send = () =>
  emit('send', { kind: 'wait-begun', ...wait.value, untilDay: wait.value.untilDay || null }, () => {
    wait.value = { ...wait.value, text: '', untilDay: '' }
  })
</script>

<template>
  <form class="fields" @submit.prevent="send">
    <v-text-field
      v-model="wait.text"
      :label="t('job.waitingForField')"
      :placeholder="t('job.crystal13045625Mhz')"
      :error-messages="wrong('text')"
    />
    <v-select
      v-model="wait.waitsFor"
      :label="t('job.from')"
      :items="WAITS_FOR.map(w => ({ value: w, title: t(WAIT_WORDS[w]) }))"
    />
    <v-text-field
      v-model="wait.untilDay"
      :label="t('job.expectedField')"
      type="date"
      :error-messages="wrong('untilDay')"
    />
    <v-btn type="submit" size="large" :disabled="wait.text.trim() === ''">{{ t('job.putOnHold') }}</v-btn>
  </form>
</template>
