<script setup lang="ts">
import { ref, watch } from 'vue'
import { JOB_KINDS, type JobKind } from '#core/run'
import { t } from '#shared/i18n'
import { jobKindWords, phasesOfKind } from '#shared/words/jobKindWords'
import AskDialog from '~/ui/frame/AskDialog.vue'
import HintedChoice from '~/ui/frame/HintedChoice.vue'

/** What the job is from here on: a check becomes a repair, a repair a conversion. */
const props = defineProps<{ open: boolean; jobKind: JobKind; failure: string | undefined }>()
defineEmits<{ close: []; done: [jobKind: JobKind, reason: string] }>()
const KINDS = JOB_KINDS.map(value => ({ value, title: jobKindWords(value), hint: phasesOfKind(value) }))
const chosen = ref<JobKind | null>(props.jobKind)
const reason = ref('')
watch(
  () => props.open,
  () => {
    chosen.value = props.jobKind
    reason.value = ''
  },
)
</script>

<template>
  <AskDialog
    :open="open"
    :title="t('kind.changeKind')"
    :action="t('kind.change')"
    :disabled="chosen === jobKind"
    @close="$emit('close')"
    @done="chosen && $emit('done', chosen, reason.trim())"
  >
    <p class="quiet mb-2">{{ t('kind.changeHint') }}</p>
    <HintedChoice v-model="chosen" :label="t('kind.kindOfJob')" :choices="KINDS" />
    <v-text-field v-model="reason" :label="t('common.reason')" :error-messages="failure" />
  </AskDialog>
</template>
