<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AdjusterRole } from '#core/sheet'
import { t } from '#shared/i18n'
import { ROLE_WORDS } from '#shared/words/roleWords'
import { turnedOtherWords } from '#shared/words/workLogWords'
import type { NewWorkEvent } from '../../../logic/useEventForm'

/** An adjuster that is not on the sheet: what was turned, what it sets, where it stood. */
defineProps<{ wrong?: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept: () => void] }>()
const empty = () => ({ name: '', role: null as AdjusterRole | null, startPosition: '' })
const turned = ref(empty())
const roles = Object.entries(ROLE_WORDS).map(([value, code]) => ({
  value: value as AdjusterRole,
  title: t(code),
}))
const isComplete = computed(() => turned.value.name.trim() !== '' && turned.value.role !== null)

function send() {
  const { name, role, startPosition } = turned.value
  if (!isComplete.value || role === null) return
  emit(
    'send',
    { kind: 'unlisted-turned', name: name.trim(), role, startPosition: startPosition.trim() },
    () => {
      turned.value = empty()
    },
  )
}
</script>

<template>
  <form class="fields" @submit.prevent="send">
    <v-text-field
      v-model="turned.name"
      :label="t('job.whichAdjuster')"
      :placeholder="t('job.exampleCore')"
      maxlength="60"
      :error-messages="wrong?.('name')"
    />
    <v-select v-model="turned.role" :label="t('job.whatItSetsAsFarAs')" :items="roles" />
    <v-text-field
      v-model="turned.startPosition"
      :label="t('job.startingPosition')"
      :placeholder="t('job.core2TurnsBelowTheRim')"
    />
    <slot :is-complete="isComplete"
      ><v-btn type="submit" size="large" :disabled="!isComplete">{{ t('job.add') }}</v-btn></slot
    >
    <p class="care">{{ t('job.returnItToItsStartingPosition') }}</p>
    <p v-if="turned.role" class="quiet">{{ turnedOtherWords(turned.role) }}</p>
  </form>
</template>
