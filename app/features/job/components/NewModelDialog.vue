<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { SET_FAMILIES } from '#core/sheet'
import { t, withTextsTranslated } from '#shared/i18n'
import type { NewModel } from '#shared/job'
import { sheetIdOf } from '#shared/sheet/sheetId'
import type { SheetSummary } from '#shared/sheetFile'
import AskDialog from '~/ui/frame/AskDialog.vue'
import { vFocus } from '~/ui/vFocus'

/** A model that has no sheet: its name, and the family whose sheet it begins with. */
const props = defineProps<{ open: boolean; models: readonly SheetSummary[] }>()
const emit = defineEmits<{ close: []; done: [model: NewModel] }>()
const model = ref('')
const family = ref<string | null>(null)
const families = withTextsTranslated(SET_FAMILIES).map(f => ({
  value: f.id,
  title: f.name,
  subtitle: f.what,
}))
/** Of the same name, or one that would have the same id. */
const taken = computed(() => props.models.find(m => m.id === sheetIdOf(model.value)))
watch(
  () => props.open,
  () => {
    model.value = ''
    family.value = null
  },
)
function finish() {
  if (family.value) emit('done', { model: model.value.trim(), family: family.value })
}
</script>

<template>
  <AskDialog
    :open="open"
    :title="t('job.noSheetYet')"
    :action="t('job.takeIt')"
    :disabled="!model.trim() || !family || taken !== undefined"
    @close="$emit('close')"
    @done="finish"
  >
    <p class="mb-4">{{ t('job.noSheetYetExplained') }}</p>
    <v-text-field
      v-model="model"
      v-focus
      :label="t('job.nameOnTheSet')"
      maxlength="100"
      :error-messages="taken ? t('job.modelAlreadyHere', { model: taken.model }) : undefined"
    />
    <v-select v-model="family" class="mt-4" :label="t('job.familyOfTheSet')" :items="families" item-props />
  </AskDialog>
</template>
