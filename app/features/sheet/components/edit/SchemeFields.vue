<script setup lang="ts">
import { numberForField } from '#core/quantity'
import { enteredRequired } from '~/ui/enteredNumber'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { MODES } from '#core/rules'
import type { MixedFrequency, MixingScheme, ModelSheet, Oscillator } from '#core/sheet'
import EditTable from './EditTable.vue'
import type { EditColumn } from './editColumn'

/** Oscillators, and how they add up to what is read: from it the run tells which of them is off. */
const props = defineProps<{ sheet: ModelSheet }>()
const emit = defineEmits<{ change: [part: Partial<ModelSheet>] }>()
const EMPTY: MixingScheme = { baseHz: 0, stepHz: 10_000, oscillators: [], frequencies: [] }
const scheme = computed(() => props.sheet.scheme ?? EMPTY)
const put = (change: Partial<MixingScheme>) => emit('change', { scheme: { ...scheme.value, ...change } })
const OSCILLATORS = computed<EditColumn[]>(() => [
  { key: 'id', label: 'Id', width: '120px' },
  { key: 'name', label: t('common.name') },
  { key: 'nominalHz', label: t('sheet.nominalHz'), kind: 'number' },
  {
    key: 'adjuster',
    label: t('sheet.adjustedBy'),
    kind: 'select',
    items: [
      { value: '', title: t('sheet.adjustedByNothing') },
      ...props.sheet.adjusters.map(a => ({ value: a.designator, title: a.designator })),
    ],
  },
  { key: 'priorPpm', label: t('sheet.errorUpToPpm'), kind: 'number' },
])
const READ_BY = [
  { value: '', title: t('sheet.typedByHand') },
  { value: 'carrierHz', title: t('sheet.transmitFrequency') },
  { value: 'referenceHz', title: t('sheet.referenceFrequency') },
]
const FREQUENCIES: readonly EditColumn[] = [
  { key: 'id', label: 'Id', width: '120px' },
  { key: 'name', label: t('common.name') },
  { key: 'quantity', label: t('sheet.readAs'), kind: 'select', items: READ_BY },
  {
    key: 'mode',
    label: t('common.mode'),
    kind: 'select',
    items: [{ value: '', title: t('sheet.anyMode') }, ...MODES.map(m => ({ value: m, title: m }))],
  },
]
const tidyOscillator = (o: Oscillator): Oscillator => ({ ...o, adjuster: o.adjuster || null })
const tidyFrequency = (f: MixedFrequency): MixedFrequency => ({
  ...f,
  quantity: f.quantity || null,
  mode: f.mode || null,
})
type Term = MixedFrequency['terms'][number]
const TERMS = computed<EditColumn[]>(() => [
  {
    key: 'oscillator',
    label: t('common.oscillator'),
    kind: 'select',
    items: scheme.value.oscillators.map(o => ({ value: o.id, title: o.name })),
  },
  { key: 'factor', label: t('sheet.timesFactor'), kind: 'number' },
  { key: 'stepFactor', label: t('sheet.andTimesN'), kind: 'number' },
])
const terms = (i: number, rows: Term[]) =>
  put({ frequencies: scheme.value.frequencies.map((f, k) => (k === i ? { ...f, terms: rows } : f)) })
/** Units of the fields in one hertz. */
const [MHZ, KHZ] = [1e-6, 1e-3]
</script>

<template>
  <div>
    <p class="quiet">
      {{ t('sheet.nCountsChannelStepsAboveThe') }}
    </p>
    <div class="base">
      <v-text-field
        :model-value="numberForField(scheme.baseHz * MHZ)"
        :label="t('sheet.base')"
        suffix="MHz"
        inputmode="decimal"
        @change="(e: Event) => put({ baseHz: enteredRequired(e, scheme.baseHz, MHZ) })"
      />
      <v-text-field
        :model-value="numberForField(scheme.stepHz * KHZ)"
        :label="t('sheet.step')"
        suffix="kHz"
        inputmode="decimal"
        @change="(e: Event) => put({ stepHz: enteredRequired(e, scheme.stepHz, KHZ) || scheme.stepHz })"
      />
    </div>
    <h3>{{ t('sheet.oscillators') }}</h3>
    <EditTable
      :rows="scheme.oscillators"
      :columns="OSCILLATORS"
      :make="
        (): Oscillator => ({
          id: `x${scheme.oscillators.length + 1}`,
          name: '',
          nominalHz: 10_240_000,
          adjuster: null,
          priorPpm: 60,
        })
      "
      :add="t('sheet.addOscillator')"
      :empty="t('sheet.noOscillatorsYetWithoutAScheme')"
      @change="rows => put({ oscillators: rows.map(tidyOscillator) })"
    />
    <h3>{{ t('sheet.measuredFrequencies') }}</h3>
    <EditTable
      :rows="scheme.frequencies"
      :columns="FREQUENCIES"
      :make="
        (): MixedFrequency => ({
          id: `f${scheme.frequencies.length + 1}`,
          name: '',
          quantity: 'carrierHz',
          mode: null,
          terms: [],
        })
      "
      :add="t('sheet.addFrequency')"
      :empty="t('sheet.noneYet')"
      @change="rows => put({ frequencies: rows.map(tidyFrequency) })"
    />
    <details v-for="(f, i) in scheme.frequencies" :key="i">
      <summary>
        {{ t('sheet.isTheSumOfTerms', { name: f.name || f.id, count: f.terms.length }) }}
      </summary>
      <EditTable
        :rows="f.terms"
        :columns="TERMS"
        :make="(): Term => ({ oscillator: scheme.oscillators[0]?.id ?? '', factor: 1, stepFactor: 0 })"
        :add="t('sheet.addTerm')"
        :empty="t('sheet.noTermsYet')"
        @change="rows => terms(i, rows)"
      />
    </details>
  </div>
</template>

<style scoped>
.base {
  display: flex;
  gap: 14px;
  max-width: 460px;
}
h3 {
  font-size: 15px;
  margin: 14px 0 4px;
}
summary {
  min-height: 44px;
  padding: 10px 0;
  cursor: pointer;
}
</style>
