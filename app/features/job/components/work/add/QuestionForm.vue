<script setup lang="ts">
import { ref } from 'vue'
import { t } from '#shared/i18n'
import type { NewWorkEvent } from '../../../logic/useEventForm'

/** A question to the owner with its price and what a no means. */
defineProps<{ wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept: () => void] }>()
const empty = () => ({ text: '', price: '', consequence: '' })
const question = ref(empty())
const send = () =>
  emit('send', { kind: 'question-asked', ...question.value }, () => {
    question.value = empty()
  })
</script>

<template>
  <form class="fields" @submit.prevent="send">
    <v-text-field v-model="question.text" :label="t('job.askTheOwner')" :error-messages="wrong('text')" />
    <v-text-field v-model="question.price" :label="t('job.price')" :error-messages="wrong('price')" />
    <v-text-field
      v-model="question.consequence"
      :label="t('job.ifDeclined')"
      :placeholder="t('job.theFrequencyStays300HzLow')"
      :error-messages="wrong('consequence')"
    />
    <v-btn type="submit" size="large" :disabled="question.text.trim() === ''">{{ t('job.ask') }}</v-btn>
  </form>
</template>
