<script setup lang="ts">
import { quantityInfo, type Quantity } from '#core/quantity'
import type { RowState } from '#core/run'
import { t, translated } from '#shared/i18n'
import { quantityLabel } from '#shared/words/quantityWords'
import { fieldKey, type GridField, type GridGroup } from '../../logic/typedGrid'
import type { Doubt } from '../../logic/doubts'
import type { TypedInstrument } from '../../logic/typedInstrument'
import InstrumentChoice from './InstrumentChoice.vue'

/** Rows that ask for the same quantities, a field for each; the instrument of a column stands in its head. */
defineProps<{
  group: GridGroup
  at: GridField | null
  problems: Readonly<Record<string, string>>
  isKept: (row: RowState) => boolean
  doubts: Readonly<Record<string, readonly Doubt[]>>
  optionsFor: (q: Quantity) => TypedInstrument[]
  typedWith: (q: Quantity) => TypedInstrument | null
}>()
const texts = defineModel<Record<string, string>>({ required: true })
const emit = defineEmits<{
  field: [key: string, input: HTMLInputElement]
  entered: [field: GridField]
  next: [field: GridField]
  beside: [field: GridField, by: 1 | -1]
  paste: [event: ClipboardEvent, field: GridField]
  choose: [quantity: Quantity, name: string, fullScale?: number]
}>()
const fieldsOf = (row: RowState, group: GridGroup) =>
  group.quantities.map(quantity => {
    const field = { pointId: row.point.id, quantity }
    return { field, key: fieldKey(field), label: `${row.point.title}, ${quantityLabel(quantity)}` }
  })
</script>

<template>
  <table>
    <thead>
      <tr>
        <td></td>
        <th v-for="q in group.quantities" :key="q" scope="col">
          {{ quantityLabel(q) }} <span class="quiet">{{ quantityInfo(q).shownUnit }}</span>
          <InstrumentChoice
            :quantity="q"
            :options="optionsFor(q)"
            :chosen="typedWith(q)"
            @choose="(name, fullScale) => emit('choose', q, name, fullScale)"
          />
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in group.rows" :key="row.point.id" :class="{ on: row.point.id === at?.pointId }">
        <th scope="row">
          {{ row.point.title }}
          <span v-if="isKept(row)" class="quiet">{{ t('align.rowKept') }}</span>
          <span v-else-if="row.complete && !row.stale" class="quiet">{{ t('align.rowMeasured') }}</span>
          <span v-for="d in doubts[row.point.id] ?? []" :key="d.rule + d.readingId" class="also doubt">{{
            t('align.implausible', { words: d.words })
          }}</span>
          <span v-if="row.point.state.also && row.point.id === at?.pointId" class="also">{{
            translated(row.point.state.also)
          }}</span>
        </th>
        <td v-for="f in fieldsOf(row, group)" :key="f.key">
          <input
            :ref="
              el => {
                if (el) emit('field', f.key, el as HTMLInputElement)
              }
            "
            v-model="texts[f.key]"
            class="fig"
            inputmode="decimal"
            autocomplete="off"
            :aria-label="f.label"
            :aria-invalid="f.key in problems"
            @focus="emit('entered', f.field)"
            @paste="e => emit('paste', e, f.field)"
            @keydown.enter.exact.prevent="emit('next', f.field)"
            @keydown.down.prevent="emit('beside', f.field, 1)"
            @keydown.up.prevent="emit('beside', f.field, -1)"
          />
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: auto;
  border-collapse: collapse;
  margin-bottom: 14px;
}
th {
  text-align: left;
  font-size: 13px;
  font-weight: 600;
  padding: 4px 12px 4px 8px;
  vertical-align: bottom;
}
thead td,
tbody th {
  width: 240px;
  min-width: 130px;
  max-width: 240px;
}
tbody th {
  vertical-align: middle;
  font-size: 14px;
}
tr.on {
  background: var(--sheet);
  box-shadow: inset 3px 0 0 var(--accent);
}
tbody tr {
  border-top: 1px solid var(--line);
}
thead th,
tbody td {
  width: 176px;
  min-width: 176px;
  max-width: 176px;
}
td {
  padding: 3px 12px 3px 8px;
}
.doubt {
  border-left: 4px dashed var(--out);
  padding-left: 8px;
}
.also {
  display: block;
  font-size: 12.5px;
  font-weight: 400;
}
input {
  width: 154px;
  min-height: 44px;
  font-size: 18px;
}
input[aria-invalid='true'] {
  border-color: var(--out);
  border-width: 2px;
}
</style>
