<script setup lang="ts">
import { computed, ref } from 'vue'
import { PART_KINDS, type PartTested } from '#core/run'
import { lotHistory, partTestPlan } from '#core/work'
import { t } from '#shared/i18n'
import { DC_RESULT_WORDS, PART_KIND_WORDS, lotWords } from '#shared/words/partWords'
import { emptyPart, partTestEvent, usualSetup } from '../../../logic/partTestForm'
import type { NewWorkEvent } from '../../../logic/useEventForm'
import FigureFields from './FigureFields.vue'
import RfFields from './RfFields.vue'

/**
 * Each kind of part has its own tests: DC rejects, RF accepts an RF part, figures accept the others. The kind,
 * the seller and the set up stay for the next part of the drawer.
 */
const props = defineProps<{
  wrong: (field: string) => string | undefined
  /** tests of other parts */
  tested?: readonly PartTested[]
}>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept: () => void] }>()
const form = ref(emptyPart())
const setup = ref(usualSetup())
const plan = computed(() => partTestPlan(setup.value.partKind))
const dcChoices = computed(() => [
  { value: null, title: t('job.notTested') },
  ...plan.value.dcResults.map(value => ({ value, title: t(DC_RESULT_WORDS[value]) })),
])
const lot = computed(() => {
  const { boughtAt, lot: named } = setup.value
  const history = lotHistory(props.tested ?? [], { part: form.value.part, boughtAt, lot: named })
  return history ? lotWords(history) : ''
})
const send = () =>
  emit('send', partTestEvent(form.value, setup.value), () => {
    form.value = emptyPart(form.value.figures)
  })
</script>

<template>
  <form class="fields wide" @submit.prevent="send">
    <v-select
      v-model="setup.partKind"
      :label="t('part.kind')"
      :items="PART_KINDS.map(k => ({ value: k, title: t(PART_KIND_WORDS[k]) }))"
    />
    <v-text-field
      v-model="form.part"
      :label="t('job.part')"
      :placeholder="t('job.exampleTransistor')"
      :error-messages="wrong('part')"
    />
    <v-text-field v-model="setup.boughtAt" :label="t('job.boughtFrom')" :error-messages="wrong('boughtAt')" />
    <v-text-field v-model="setup.lot" :label="t('form.lot')" :error-messages="wrong('lot')" />
    <v-select
      v-if="plan.dcResults.length > 0"
      v-model="form.dcResult"
      :label="t('part.dcTestTitle')"
      :items="dcChoices"
    />
    <template v-if="plan.hasGain">
      <v-text-field
        v-model="form.dcGain"
        :label="t('job.dcGain')"
        inputmode="decimal"
        :error-messages="wrong('dcGain')"
      />
      <v-text-field
        v-model="setup.gainFrom"
        :label="t('part.gainOfTypeFrom')"
        inputmode="decimal"
        :error-messages="wrong('gainFrom')"
      />
      <v-text-field
        v-model="setup.gainTo"
        :label="t('part.gainOfTypeTo')"
        inputmode="decimal"
        :error-messages="wrong('gainTo')"
      />
    </template>
    <FigureFields v-model="form.figures" :figures="plan.figures" :wrong="wrong" />
    <RfFields
      v-if="plan.byRf"
      v-model:form="form"
      v-model:setup="setup"
      :by-heat="plan.byHeat"
      :wrong="wrong"
    />
    <v-text-field v-model="form.text" :label="t('form.note')" :error-messages="wrong('text')" />
    <v-btn type="submit" size="large" :disabled="form.part.trim() === ''">{{ t('job.add') }}</v-btn>
    <p v-if="lot" class="care" role="status">{{ lot }}</p>
  </form>
</template>
