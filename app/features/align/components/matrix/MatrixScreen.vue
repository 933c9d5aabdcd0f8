<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { Quantity } from '#core/quantity'
import type { RowState } from '#core/run'
import { isOfReceiver, type ModelSheet } from '#core/sheet'
import { remarksOfRows } from '#shared/words/rowRemarks'
import type { Doubt } from '../../logic/doubts'
import type { TypedInstrument } from '../../logic/typedInstrument'
import MatrixRows from './MatrixRows.vue'
import type { TypedValue } from '../../logic/typedText'

const props = defineProps<{
  phase: 'as-found' | 'as-left'
  title: string
  lead: string
  rows: readonly RowState[]
  /** rows of the list; the others stand apart */
  listed: readonly RowState[]
  apartFrom: string | null
  sheet: ModelSheet
  /** nothing more is read here */
  closed?: boolean
  /** by row: what in it cannot be true */
  doubts: Readonly<Record<string, readonly Doubt[]>>
  active: string
  typing: { pointId: string; first: string } | null
  said: { text: string; kind: 'ok' | 'problem' } | null
  optionsFor: (q: Quantity) => TypedInstrument[]
  typedWith: (q: Quantity) => TypedInstrument | null
  tickA: number | null
  /** ids of entries that are not stored yet */
  stuck: ReadonlySet<string>
  cautions: readonly string[]
}>()
const emit = defineEmits<{
  select: [pointId: string]
  take: [pointId: string]
  type: [pointId: string]
  typed: [pointId: string, values: TypedValue[]]
  cancel: []
  table: []
  keep: [doubt: Doubt]
  strike: [readingId: string]
  choose: [quantity: Quantity, name: string, fullScale?: number]
}>()
/** What nobody asks for counts once it was read. */
const counted = computed(() => props.rows.filter(r => !r.point.isOptional || r.row !== null))
const complete = computed(() => counted.value.filter(r => !r.isOpen).length)
const missingReceiver = computed(() =>
  props.rows.some(r => r.isOpen && !r.complete && r.cells.some(c => isOfReceiver(c.want.quantity))),
)
const remarks = computed(() => remarksOfRows(props.sheet, props.rows, props.phase))
</script>

<template>
  <div class="page wide">
    <div class="top">
      <div>
        <h1>{{ title }}</h1>
        <p class="lead">{{ lead }}</p>
      </div>
      <div class="state">
        <b class="fig">{{ t('align.of', { complete, count: counted.length }) }}</b> {{ t('align.rows')
        }}<br /><span v-if="missingReceiver" class="quiet">{{
          t('align.incompleteReceiverNotMeasured')
        }}</span>
      </div>
    </div>
    <p v-if="!closed" class="care" style="margin-bottom: 10px">{{ cautions.join(' ') }}</p>
    <p class="said" role="status" :class="said?.kind">{{ said?.text ?? '\u00a0' }}</p>
    <div v-if="!closed" class="no-print">
      <v-btn @click="emit('table')">{{ t('align.typeAsTable') }} <kbd>G</kbd></v-btn>
    </div>
    <slot />
    <ul v-if="remarks.length > 0" class="remarks">
      <li v-for="w in remarks" :key="w">{{ w }}</li>
    </ul>
    <MatrixRows
      :rows="listed"
      :apart-from="apartFrom"
      :sheet="sheet"
      :closed="closed"
      :doubts="doubts"
      :active="active"
      :typing="typing"
      :options-for="optionsFor"
      :typed-with="typedWith"
      :tick-a="tickA"
      :stuck="stuck"
      @select="id => emit('select', id)"
      @take="id => emit('take', id)"
      @type="id => emit('type', id)"
      @typed="(id, v) => emit('typed', id, v)"
      @cancel="emit('cancel')"
      @keep="d => emit('keep', d)"
      @strike="id => emit('strike', id)"
      @choose="(q, n, scale) => emit('choose', q, n, scale)"
      ><template #apart><slot name="apart" /></template
    ></MatrixRows>
    <slot v-if="apartFrom === null" name="apart" />
  </div>
</template>

<style scoped>
.page.wide {
  max-width: none;
}
.top {
  display: flex;
  justify-content: space-between;
  gap: 20px;
}
.lead {
  margin-bottom: 10px;
}
.state {
  text-align: right;
  font-size: 14px;
  white-space: nowrap;
}
.state b {
  font-size: 18px;
}
.said {
  min-height: 24px;
  margin: 0 0 4px;
  font-weight: 600;
}
.said.problem {
  color: var(--out);
}
.said.ok {
  color: var(--in);
}
@media (max-width: 700px) {
  .top {
    display: block;
  }
  .state {
    text-align: left;
    white-space: normal;
  }
}
</style>
