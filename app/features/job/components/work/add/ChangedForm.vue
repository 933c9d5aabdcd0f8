<script setup lang="ts">
import { computed, ref } from 'vue'
import { partDoubts } from '#core/work'
import { t } from '#shared/i18n'
import { partDoubtWords } from '#shared/words/partWords'
import type { NewWorkEvent } from '../../../logic/useEventForm'

/** A part out and another in; a value that looks wrong is told while it is typed. */
defineProps<{ wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept: () => void] }>()
const empty = () => ({ designator: '', partOut: '', partIn: '', isFinal: false })
const part = ref(empty())
const doubts = computed(() => partDoubts(part.value.partOut, part.value.partIn))
const send = () =>
  emit('send', { kind: 'part-changed', ...part.value, text: '' }, () => {
    part.value = empty()
  })
</script>

<template>
  <form class="fields" @submit.prevent="send">
    <v-text-field
      v-model="part.designator"
      :label="t('job.part')"
      placeholder="Q12"
      :error-messages="wrong('designator')"
    />
    <v-text-field v-model="part.partOut" :label="t('job.removed')" :error-messages="wrong('partOut')" />
    <v-text-field v-model="part.partIn" :label="t('job.fitted')" :error-messages="wrong('partIn')" />
    <v-checkbox v-model="part.isFinal" :label="t('job.finalOrDriverField')" hide-details />
    <v-btn type="submit" size="large" :disabled="!part.designator.trim() || !part.partIn.trim()">{{
      t('job.add')
    }}</v-btn>
    <p v-for="d in doubts" :key="d.kind" class="care" role="status">{{ partDoubtWords(d) }}</p>
  </form>
</template>
