<script setup lang="ts">
import { numberForField } from '#core/quantity'
import { enteredRequired } from '~/ui/enteredNumber'
import { t } from '#shared/i18n'
import type { EditColumn } from './editColumn'

/** One field of a row: a line, a few lines, a number or a choice. */
defineProps<{ column: EditColumn; value: string | number | null | undefined; row: number }>()
const emit = defineEmits<{ write: [text: string]; enter: [value: number] }>()
const text = (e: Event) => (e.target as HTMLInputElement).value
</script>

<template>
  <select
    v-if="column.kind === 'select'"
    :value="value ?? ''"
    :aria-label="t('sheet.row', { label: column.label, row })"
    @change="emit('write', text($event))"
  >
    <option v-for="o in column.items" :key="o.value" :value="o.value">{{ o.title }}</option>
  </select>
  <textarea
    v-else-if="column.kind === 'long'"
    :value="String(value ?? '')"
    rows="2"
    :aria-label="t('sheet.row', { label: column.label, row })"
    @change="emit('write', text($event))"
  />
  <input
    v-else-if="column.kind === 'number'"
    :value="numberForField(Number(value))"
    class="fig"
    inputmode="decimal"
    :aria-label="t('sheet.row', { label: column.label, row })"
    @change="emit('enter', enteredRequired($event, Number(value)))"
  />
  <input
    v-else
    :value="value ?? ''"
    :aria-label="t('sheet.row', { label: column.label, row })"
    @change="emit('write', text($event))"
  />
</template>

<style scoped>
input,
select,
textarea {
  width: 100%;
  min-width: 84px;
}
/* What is chosen is read before it is changed, on a phone too. */
select {
  min-width: 150px;
}
</style>
