<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { computed } from 'vue'
import type { RowState } from '#core/run'
import { t } from '#shared/i18n'
import { quantityLabel } from '#shared/words/quantityWords'
import { quantitiesOf } from '../../logic/unreadable'

/** Rows that no instrument of this bench can read: one block, left out with one reason. */
const props = defineProps<{
  rows: readonly RowState[]
  /** by row: the words with which it was left out */
  leftOut: ReadonlyMap<string, string>
}>()
defineEmits<{ leaveOut: [pointIds: string[]]; type: [pointId: string] }>()
const open = computed(() => props.rows.filter(r => !props.leftOut.has(r.point.id)))
const closed = computed(() => props.rows.filter(r => props.leftOut.has(r.point.id)))
const reasons = computed(() => [...new Set(closed.value.map(r => props.leftOut.get(r.point.id)!))].join('; '))
const names = computed(() =>
  quantitiesOf(open.value)
    .map(q => midSentence(quantityLabel(q)))
    .join(', '),
)
</script>

<template>
  <section v-if="rows.length > 0" class="apart" :aria-label="t('align.rowsNotReadable')">
    <div v-if="open.length > 0" class="line">
      <p>{{ t('align.noInstrumentReads', { count: open.length, list: names }) }}</p>
      <v-btn
        @click="
          $emit(
            'leaveOut',
            open.map(r => r.point.id),
          )
        "
        >{{ t('align.leaveOut', { count: open.length }) }}&hellip;</v-btn
      >
    </div>
    <p v-if="closed.length > 0" class="quiet">
      {{ t('align.rowsLeftOut', { count: closed.length, reason: reasons }) }}
    </p>
    <details v-if="closed.length > 0">
      <summary>{{ t('align.showTheseRows') }}</summary>
      <ul>
        <li v-for="r in closed" :key="r.point.id">
          {{ r.point.title }}
          <v-btn variant="text" @click="$emit('type', r.point.id)">{{ t('align.typeReadings') }}</v-btn>
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
.apart {
  padding: 10px 12px 10px 34px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
p {
  margin: 0;
}
.line p {
  flex: 1 1 320px;
}
summary {
  min-height: 44px;
  padding-top: 12px;
  cursor: pointer;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
