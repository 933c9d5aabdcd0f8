<script setup lang="ts">
import { numberForField, typedNumber, typedNumberOrNull } from '#core/quantity'
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, ref, watch } from 'vue'
import { STEPPED_PRESETS } from '#core/instrument'
import type { Instrument } from '#shared/instrument'
import type { SteppedBody } from '#shared/instrumentCommands'
import { SETTING_WORDS, readersOf, settersOf } from '../logic/steppedWords'

/** Which measurement, from where to where, by which instruments. */
const props = defineProps<{ items: readonly Instrument[]; running: boolean }>()
const emit = defineEmits<{ start: [body: SteppedBody] }>()
const presets = withTextsTranslated(STEPPED_PRESETS)
const presetId = ref(presets[0]!.id)
const preset = computed(() => presets.find(p => p.id === presetId.value)!)
const words = computed(() => SETTING_WORDS[preset.value.plan.set])
const setters = computed(() => settersOf(props.items, preset.value.plan.set))
const readers = computed(() => readersOf(props.items, preset.value.plan.read))
const setterId = ref('')
const readerId = ref('')
const from = ref('')
const to = ref('')
const steps = ref('')
watch(
  [preset, setters, readers],
  () => {
    setterId.value = setters.value[0]?.id ?? ''
    readerId.value = readers.value[0]?.id ?? ''
  },
  { immediate: true },
)
watch(
  preset,
  ({ plan }) => {
    const shown = (v: number) => numberForField(v * words.value.perSi, 8)
    from.value = shown(plan.from)
    to.value = shown(plan.to)
    steps.value = String(plan.steps)
  },
  { immediate: true },
)
const ready = computed(
  () => setterId.value && readerId.value && [from, to, steps].every(r => typedNumberOrNull(r.value) !== null),
)
function start() {
  emit('start', {
    ...preset.value.plan,
    setInstrumentId: setterId.value,
    readInstrumentId: readerId.value,
    from: typedNumber(from.value)! / words.value.perSi,
    to: typedNumber(to.value)! / words.value.perSi,
    steps: typedNumber(steps.value)!,
  })
}
</script>

<template>
  <section :aria-label="t('instruments.plan')">
    <div class="row" role="radiogroup" :aria-label="t('instruments.measurement')">
      <button
        v-for="p in presets"
        :key="p.id"
        type="button"
        role="radio"
        :aria-checked="p.id === presetId"
        :disabled="running"
        @click="presetId = p.id"
      >
        {{ p.title }}
      </button>
    </div>
    <p class="note">
      {{ t('instruments.shows', { what: preset.what }) }} <b>{{ preset.before }}</b>
    </p>
    <div class="fields">
      <v-text-field
        v-model="from"
        :label="t('instruments.fromUnit', { unit: words.unit })"
        inputmode="decimal"
        hide-details
      />
      <v-text-field
        v-model="to"
        :label="t('instruments.toUnit', { unit: words.unit })"
        inputmode="decimal"
        hide-details
      />
      <v-text-field v-model="steps" :label="t('instruments.steps')" inputmode="numeric" hide-details />
      <v-select
        v-model="setterId"
        :label="t('instruments.setBy')"
        :items="setters.map(i => ({ title: i.name, value: i.id }))"
        :no-data-text="t('instruments.noConnectedInstrumentCanSetIt')"
        hide-details
      />
      <v-select
        v-model="readerId"
        :label="t('instruments.readBy')"
        :items="readers.map(i => ({ title: i.name, value: i.id }))"
        :no-data-text="t('instruments.noConnectedInstrumentReadsIt')"
        hide-details
      />
      <v-btn color="primary" variant="flat" size="large" :disabled="!ready || running" @click="start">{{
        t('instruments.start')
      }}</v-btn>
    </div>
    <p v-if="setters.length === 0 || readers.length === 0" class="care">
      {{
        t('instruments.aCommunicationsTestSetCanIn', {
          what:
            setters.length === 0
              ? t('instruments.noConnectedInstrumentCanSetThis', { label: t(words.label) })
              : t('instruments.noConnectedInstrumentReadsThis'),
        })
      }}
    </p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 8px;
}
[role='radio'] {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  color: inherit;
}
[role='radio'][aria-checked='true'] {
  background: var(--accent);
  color: var(--paper);
  border-color: var(--accent);
  font-weight: 600;
}
.note {
  margin: 4px 0 10px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, 0.7fr) repeat(2, 1.2fr) auto;
  gap: 10px;
  align-items: center;
}
@media (max-width: 900px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
