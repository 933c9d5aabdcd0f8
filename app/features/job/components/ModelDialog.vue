<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ModelChanged } from '#core/run'
import { t } from '#shared/i18n'
import type { SheetSummary } from '#shared/sheetFile'
import type { Failure } from '~/data/failureWords'
import AskDialog from '~/ui/frame/AskDialog.vue'
import HintedChoice from '~/ui/frame/HintedChoice.vue'
import { modelChoices } from '../logic/intakeChoices'

/** Another sheet: it was booked in under the wrong model, it was converted, or there is a better one. */
const props = defineProps<{
  open: boolean
  models: readonly SheetSummary[]
  sheetId: string
  /** of the sheet that the job is measured by */
  revision: number
  hasNewer: boolean
  /** entries that would not count by what is chosen; null = not known */
  unfitting: number | null
  busy: boolean
  failure: Failure | null
}>()
const emit = defineEmits<{
  close: []
  look: [sheetId: string]
  done: [sheetId: string, because: ModelChanged['because'], reason: string]
}>()
const REASONS: readonly { value: ModelChanged['because']; title: string; hint: string }[] = [
  { value: 'wrong-model', title: t('job.wrongModel'), hint: t('job.wrongModelHint') },
  { value: 'conversion', title: t('job.converted'), hint: t('job.convertedHint') },
  { value: 'own-sheet', title: t('job.ownSheet'), hint: t('job.ownSheetHint') },
]
const chosen = ref('')
const because = ref<ModelChanged['because'] | null>(null)
const reason = ref('')
const isBetter = computed(() => because.value === 'own-sheet')
const choices = computed(() => {
  const others = modelChoices(props.models.filter(m => m.id !== props.sheetId))
  const own = props.models.find(m => m.id === props.sheetId)
  if (!isBetter.value || !props.hasNewer || !own) return others
  const title = t('job.newerRevision', { model: own.model, revision: own.revision, from: props.revision })
  return [{ value: own.id, title, subtitle: own.description }, ...others]
})
watch(isBetter, () => {
  chosen.value = isBetter.value && props.hasNewer ? props.sheetId : ''
})
watch([chosen, isBetter], () => {
  if (chosen.value && isBetter.value) emit('look', chosen.value)
})
watch(
  () => props.open,
  () => {
    chosen.value = ''
    because.value = null
    reason.value = ''
  },
)
function finish() {
  if (chosen.value && because.value) emit('done', chosen.value, because.value, reason.value.trim())
}
</script>

<template>
  <AskDialog
    :open="open"
    :title="t('job.changeModel')"
    :action="t('job.changeModelAction')"
    :disabled="!chosen || !because"
    :busy="busy"
    @close="$emit('close')"
    @done="finish"
  >
    <HintedChoice v-model="because" :label="t('job.whyChangeModel')" :choices="REASONS" />
    <v-select v-model="chosen" :label="t('common.model')" :items="choices" />
    <p v-if="chosen && isBetter && unfitting !== null" role="status">
      {{ unfitting === 0 ? t('job.allFit') : t('job.notFitting', { count: unfitting }) }}
    </p>
    <v-text-field v-model="reason" class="mt-4" :label="t('common.reason')" />
    <p v-if="failure" class="care" role="alert">{{ failure.words }}</p>
  </AskDialog>
</template>
