<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { laterComponent } from '~/ui/laterComponent'
import type { NewWorkEvent } from '../../logic/useEventForm'

/**
 * An adjuster that is not on the sheet was turned, or the twin of the one that was meant: what depends on it
 * is measured again.
 */
defineProps<{ wrong?: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
/** Seldom needed: its fields come when they are asked for. */
const OtherTurnedDialog = laterComponent(() => import('./OtherTurnedDialog.vue'))
const open = ref(false)
</script>

<template>
  <v-btn v-bind="$attrs" @click="open = true">{{ t('job.logOtherAdjustment') }}</v-btn>
  <OtherTurnedDialog
    v-if="open"
    :wrong="wrong"
    @send="(event, kept) => emit('send', event, kept)"
    @close="open = false"
  />
</template>
