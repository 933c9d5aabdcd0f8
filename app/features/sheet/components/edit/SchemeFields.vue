<script setup lang="ts">
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
  { key: 'name', label: 'Name' },
  { key: 'nominalHz', label: 'Nominal, Hz', kind: 'number' },
  {
    key: 'adjuster',
    label: 'Adjusted by',
    kind: 'select',
    items: [
      { value: '', title: 'nothing' },
      ...props.sheet.adjusters.map(a => ({ value: a.designator, title: a.designator })),
    ],
  },
  { key: 'priorPpm', label: 'Error up to, ppm', kind: 'number' },
])
const READ_BY = [
  { value: '', title: 'typed by hand' },
  { value: 'carrierHz', title: 'transmit frequency' },
  { value: 'referenceHz', title: 'reference frequency' },
]
const FREQUENCIES: readonly EditColumn[] = [
  { key: 'id', label: 'Id', width: '120px' },
  { key: 'name', label: 'Name' },
  { key: 'quantity', label: 'Read as', kind: 'select', items: READ_BY },
  {
    key: 'mode',
    label: 'Mode',
    kind: 'select',
    items: [{ value: '', title: 'any' }, ...MODES.map(m => ({ value: m, title: m }))],
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
    label: 'Oscillator',
    kind: 'select',
    items: scheme.value.oscillators.map(o => ({ value: o.id, title: o.name })),
  },
  { key: 'factor', label: 'times', kind: 'number' },
  { key: 'stepFactor', label: 'and times N', kind: 'number' },
])
const terms = (i: number, rows: Term[]) =>
  put({ frequencies: scheme.value.frequencies.map((f, k) => (k === i ? { ...f, terms: rows } : f)) })
const hz = (t: string) =>
  Number.isFinite(Number.parseFloat(t)) ? Number.parseFloat(t.replace(',', '.')) * 1e6 : 0
const text = (e: Event) => (e.target as HTMLInputElement).value
</script>

<template>
  <div>
    <p class="quiet">
      N counts channel steps above the base: where N is zero, the mixing oscillators alone make the channel.
    </p>
    <div class="base">
      <v-text-field
        :model-value="scheme.baseHz / 1e6"
        label="Base"
        suffix="MHz"
        inputmode="decimal"
        @change="(e: Event) => put({ baseHz: hz(text(e)) })"
      />
      <v-text-field
        :model-value="scheme.stepHz / 1e3"
        label="Step"
        suffix="kHz"
        inputmode="decimal"
        @change="(e: Event) => put({ stepHz: hz(text(e)) / 1e3 || 10_000 })"
      />
    </div>
    <h3>Oscillators</h3>
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
      add="Add oscillator"
      empty="No oscillators yet. Without a scheme no error can be attributed."
      @change="rows => put({ oscillators: rows.map(tidyOscillator) })"
    />
    <h3>Measured frequencies</h3>
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
      add="Add frequency"
      empty="None yet."
      @change="rows => put({ frequencies: rows.map(tidyFrequency) })"
    />
    <details v-for="(f, i) in scheme.frequencies" :key="i">
      <summary>
        {{ f.name || f.id }} is the sum of {{ f.terms.length }} {{ f.terms.length === 1 ? 'term' : 'terms' }}
      </summary>
      <EditTable
        :rows="f.terms"
        :columns="TERMS"
        :make="(): Term => ({ oscillator: scheme.oscillators[0]?.id ?? '', factor: 1, stepFactor: 0 })"
        add="Add term"
        empty="No terms yet."
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
