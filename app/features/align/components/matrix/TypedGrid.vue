<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, nextTick, onMounted, ref } from 'vue'
import type { Quantity } from '#core/quantity'
import type { ModelSheet } from '#core/sheet'
import type { RowState } from '#core/run'
import { t } from '#shared/i18n'
import { quantityLabel } from '#shared/words/quantityWords'
import { conditionsWords } from '#shared/words/conditionWords'
import { DIRECTIONS, fieldKey, isTable, type Direction, type GridField } from '../../logic/typedGrid'
import type { Doubt } from '../../logic/doubts'
import type { TypedInstrument } from '../../logic/typedInstrument'
import type { TypedValue } from '../../logic/typedText'
import { useTypedGrid } from '../../logic/useTypedGrid'
import TypedGridTable from './TypedGridTable.vue'

/** Readings typed as a table: Enter goes on, a column can be pasted, a whole row is kept when it is left. */
const props = defineProps<{
  rows: readonly RowState[]
  sheet: ModelSheet
  tickA: number | null
  optionsFor: (q: Quantity) => TypedInstrument[]
  typedWith: (q: Quantity) => TypedInstrument | null
  save: (pointId: string, values: TypedValue[]) => Promise<boolean>
  doubts: Readonly<Record<string, readonly Doubt[]>>
  /** what was said of the row that was kept last */
  told: { text: string; kind: 'ok' | 'problem' } | null
}>()
const emit = defineEmits<{ close: []; choose: [quantity: Quantity, name: string, fullScale?: number] }>()
const WORDS = { across: t('align.typeAcross'), down: t('align.typeDown') }
const remembered = useLocalStorage<string>('typedDirection', 'across')
const direction = computed<Direction>(() => DIRECTIONS.find(d => d === remembered.value) ?? 'across')
const titleOf = (pointId: string) => props.rows.find(r => r.point.id === pointId)!.point.title
const grid = useTypedGrid({
  rows: () => props.rows,
  direction: () => direction.value,
  typedWith: q => props.typedWith(q),
  tickA: () => props.tickA,
  nameOf: ({ pointId, quantity }) => `${titleOf(pointId)}, ${quantityLabel(quantity)}`,
  save: (id, values) => props.save(id, values),
})
const fields = new Map<string, HTMLInputElement>()
const at = ref<GridField | null>(null)
const said = ref('')
const problem = computed(() => Object.values(grid.problems.value)[0] ?? '')
/** A row that could not be kept says why, beside that it was not. */
const words = computed(() => {
  if (problem.value) return problem.value
  const isBad = props.told?.kind === 'problem'
  return said.value && isBad ? `${said.value} ${props.told!.text}` : said.value || (props.told?.text ?? '')
})
const setNow = computed(() => {
  const row = props.rows.find(r => r.point.id === at.value?.pointId)
  const words = row ? conditionsWords(row.point, props.sheet) : []
  return words.map(c => (c.isPlain ? c.value : `${c.label} ${c.value}`)).join(' \u00b7 ')
})

const focus = (field: GridField | null) => void nextTick(() => field && fields.get(fieldKey(field))?.select())
/** At the end of the table everything is kept. */
function next(field: GridField) {
  const after = grid.after(field)
  if (after) focus(after)
  else void saveAll()
}
function entered(field: GridField) {
  const before = at.value
  at.value = field
  said.value = ''
  if (before && before.pointId !== field.pointId) grid.leave(before.pointId)
}
function paste(event: ClipboardEvent, field: GridField) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!isTable(text)) return
  event.preventDefault()
  const left = grid.paste(field, text)
  said.value = left > 0 ? t('align.pastedLeft', { count: left }) : ''
}
async function saveAll() {
  const left = await grid.saveAll()
  said.value =
    left.length > 0
      ? t('align.rowsNotSaved', { list: left.map(r => r.point.title).join('; ') })
      : t('align.allSaved')
}
async function close() {
  if (grid.isDirty.value) await saveAll()
  if (!grid.isDirty.value) emit('close')
}
onMounted(() => {
  const open = props.rows.find(r => r.isOpen) ?? props.rows[0]
  focus(grid.order.value.find(f => f.pointId === open?.point.id) ?? null)
})
</script>

<template>
  <section
    class="typed-grid"
    :aria-label="t('align.typeAsTable')"
    @keydown.esc.stop="close"
    @keydown.ctrl.enter.stop.prevent="saveAll"
  >
    <div class="bar">
      <p class="now">
        <span class="quiet">{{ t('align.setNow') }}</span><b>{{ setNow }}</b>
      </p>
      <v-btn-toggle
        :model-value="direction"
        mandatory
        color="primary"
        variant="outlined"
        :aria-label="t('align.enterGoes')"
        @update:model-value="d => (remembered = d)"
        ><v-btn v-for="d in DIRECTIONS" :key="d" :value="d">{{ WORDS[d] }}</v-btn></v-btn-toggle
      >
      <v-btn variant="flat" color="primary" @click="saveAll"
        >{{ t('align.saveAll') }} <kbd>{{ t('frame.ctrlEnter') }}</kbd></v-btn
      >
      <v-btn @click="close"
        >{{ t('align.closeTable') }} <kbd>{{ t('common.esc') }}</kbd></v-btn
      >
    </div>
    <p class="told" role="status" :class="{ problem: problem || told?.kind === 'problem' }">
      {{ words || '\u00a0' }}
    </p>
    <div class="scroll">
      <TypedGridTable
        v-for="(g, i) in grid.groups.value"
        :key="i"
        v-model="grid.texts.value"
        :group="g"
        :at="at"
        :problems="grid.problems.value"
        :is-kept="grid.isKept"
        :doubts="doubts"
        :options-for="optionsFor"
        :typed-with="typedWith"
        @field="(key, input) => fields.set(key, input)"
        @entered="entered"
        @next="next"
        @beside="(field, by) => focus(grid.beside(field, by))"
        @paste="paste"
        @choose="(q, name, fullScale) => emit('choose', q, name, fullScale)"
      />
    </div>
  </section>
</template>

<style scoped>
.bar {
  position: sticky;
  top: 0;
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 8px 0;
  background: var(--paper);
  border-bottom: 1px solid var(--line2);
}
.now {
  flex: 1 1 320px;
  margin: 0;
  line-height: 1.2;
}
.now b {
  display: block;
  font-size: 22px;
}
.told {
  min-height: 22px;
  margin: 6px 0;
  font-size: 14px;
}
.told.problem {
  color: var(--out);
  font-weight: 600;
}
.scroll {
  overflow-x: auto;
}
@media (max-width: 700px) {
  .bar {
    position: static;
  }
}
</style>
