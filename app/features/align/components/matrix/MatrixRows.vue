<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { t, translated } from '#shared/i18n'
import { nextTick, ref, watch } from 'vue'
import type { Quantity } from '#core/quantity'
import type { ModelSheet } from '#core/sheet'
import type { RowState } from '#core/run'
import type { Doubt } from '../../logic/doubts'
import type { TypedInstrument } from '../../logic/typedInstrument'
import { clockTime } from '#shared/words/dateWords'
import { conditionsWords } from '#shared/words/conditionWords'
import { markOfJudged } from '#shared/words/verdictWords'
import StateMark from '~/ui/gauge/StateMark.vue'
import RowDoubts from './RowDoubts.vue'
import MatrixCell from './MatrixCell.vue'
import type { TypedValue } from '../../logic/typedText'
import TypedRow from './TypedRow.vue'

const props = defineProps<{
  rows: readonly RowState[]
  /** first of the rows that stand apart, under words of their own */
  apartFrom?: string | null
  sheet: ModelSheet
  /** nothing more is read here */
  closed?: boolean
  doubts: Readonly<Record<string, readonly Doubt[]>>
  active: string
  typing: { pointId: string; first: string } | null
  optionsFor: (q: Quantity) => TypedInstrument[]
  typedWith: (q: Quantity) => TypedInstrument | null
  tickA: number | null
  /** ids of entries that are not stored yet */
  stuck: ReadonlySet<string>
}>()
const emit = defineEmits<{
  select: [pointId: string]
  take: [pointId: string]
  type: [pointId: string]
  typed: [pointId: string, values: TypedValue[]]
  cancel: []
  keep: [doubt: Doubt]
  strike: [readingId: string]
  choose: [quantity: Quantity, name: string, fullScale?: number]
}>()
const elements = ref<Record<string, HTMLElement>>({})
watch(
  () => props.active,
  id => void nextTick(() => elements.value[id]?.scrollIntoView({ block: 'nearest' })),
)

function markFor(row: RowState) {
  if (row.stale) return 'stale'
  if (!row.complete) return row.cells.some(c => c.latest) ? 'partial' : 'none'
  return markOfJudged(row.cells.map(c => c.judgement!))
}
</script>

<template>
  <ol class="rows">
    <template v-for="row in rows" :key="row.point.id">
      <li v-if="row.point.id === apartFrom" class="apart"><slot name="apart" /></li>
      <li
        :ref="
          el => {
            if (el) elements[row.point.id] = el as HTMLElement
          }
        "
        class="row"
        :class="{ on: row.point.id === active }"
        :data-row="row.point.id"
        @click="emit('select', row.point.id)"
      >
        <StateMark class="m" :mark="markFor(row)" />
        <div class="head">
          <b>{{ row.point.title }}</b>
          <span class="quiet"
            ><template v-for="(c, i) in conditionsWords(row.point, sheet)" :key="c.label"
              >{{ i ? ', ' : '' }}{{ c.isPlain ? c.value : `${midSentence(c.label)} ${c.value}` }}</template
            ></span
          >
          <span v-if="row.point.state.also && row.point.id === active" class="quiet">{{
            translated(row.point.state.also)
          }}</span>
          <RowDoubts :doubts="doubts[row.point.id] ?? []" @keep="d => emit('keep', d)" />
          <span v-if="row.row && stuck.has(row.row.id)" class="unsent">{{ t('align.notSentYet') }}</span>
          <span v-if="row.stale" class="quiet">{{ t('align.recheckAdjustedSinceThisReading') }}</span>
        </div>
        <TypedRow
          v-if="typing?.pointId === row.point.id"
          class="typed"
          :wants="row.point.wants"
          :first="typing.first"
          :options-for="optionsFor"
          :typed-with="typedWith"
          :tick-a="tickA"
          @done="v => emit('typed', row.point.id, v)"
          @cancel="emit('cancel')"
          @choose="(q, n, scale) => emit('choose', q, n, scale)"
        />
        <template v-else>
          <div class="cells">
            <MatrixCell
              v-for="c in row.cells"
              :key="c.want.quantity"
              :cell="c"
              :stale="row.stale"
              :active="row.point.id === active"
              @strike="id => emit('strike', id)"
            />
          </div>
          <div class="acts no-print">
            <template v-if="row.point.id === active && !closed">
              <v-btn variant="flat" color="primary" @click.stop="emit('take', row.point.id)"
                >{{ t('align.takeRowReadings') }} <kbd>{{ t('align.space') }}</kbd></v-btn
              >
              <v-btn @click.stop="emit('type', row.point.id)"
                >{{ t('align.typeReadings') }} <kbd>T</kbd></v-btn
              >
            </template>
            <span v-else-if="row.row" class="quiet fig">{{ clockTime(row.row.atMs) }}</span>
          </div>
        </template>
      </li>
    </template>
  </ol>
</template>

<style scoped>
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line2);
}
.row {
  display: grid;
  grid-template-columns: 34px 200px minmax(0, 1fr) auto;
  gap: 0 12px;
  align-items: center;
  min-height: 64px;
  padding: 8px 12px 8px 0;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
.apart {
  border-bottom: 1px solid var(--line);
}
.row.on {
  background: var(--sheet);
  box-shadow: inset 3px 0 0 var(--accent);
}
.unsent {
  border-left: 4px dashed var(--unsure);
  padding-left: 8px;
  margin-top: 4px;
  font-size: 12.5px;
}
.m {
  justify-self: center;
}
.head {
  display: flex;
  flex-direction: column;
  line-height: 1.3;
}
.head .quiet {
  font-size: 12.5px;
}
.cells {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
.acts {
  display: flex;
  gap: 8px;
}
.typed {
  grid-column: 3 / -1;
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: 34px 1fr;
  }
  .cells,
  .acts,
  .typed {
    grid-column: 2;
  }
  .acts {
    flex-wrap: wrap;
    padding-top: 6px;
  }
}
</style>
