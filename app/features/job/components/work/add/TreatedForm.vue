<script setup lang="ts">
import { ref } from 'vue'
import { t } from '#shared/i18n'
import type { NewWorkEvent } from '../../../logic/useEventForm'

/** What was done to a place of the set without a part out or in. */
defineProps<{ wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept: () => void] }>()
const empty = () => ({ what: '', where: '' })
const work = ref(empty())
const USUAL = [
  t('job.coreFreedAndReWaxed'),
  t('job.presetCleanedEndToEndTen'),
  t('job.presetReplaced'),
  t('job.glueRemoved'),
  t('job.electrolyticsRenewed'),
  t('job.jointResoldered'),
  t('job.limiterPartsRefitted'),
  t('job.trimmerFitted'),
]
const send = () =>
  emit('send', { kind: 'treated', ...work.value, text: '' }, () => {
    work.value = empty()
  })
</script>

<template>
  <form class="fields" @submit.prevent="send">
    <v-combobox
      v-model="work.what"
      :label="t('common.workDone')"
      :items="USUAL"
      :error-messages="wrong('what')"
    />
    <v-text-field
      v-model="work.where"
      :label="t('job.where')"
      placeholder="L4"
      :error-messages="wrong('where')"
    />
    <v-btn type="submit" size="large" :disabled="!work.what?.trim()">{{ t('job.add') }}</v-btn>
  </form>
</template>
