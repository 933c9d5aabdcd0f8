<script setup lang="ts">
import { ref } from 'vue'
import { ADJUSTER_KINDS, ADJUSTER_ROLES, type Adjuster } from '#core/sheet'
import { ROLE_WORDS } from '#shared/words/roleWords'
import { ADJUSTER_KIND_WORDS } from '#shared/words/sheetWords'
import EditTable from './EditTable.vue'
import type { EditColumn } from './editColumn'

/** Everything that can be turned; a table of a spreadsheet can be read in. */
defineProps<{ adjusters: readonly Adjuster[] }>()
const emit = defineEmits<{ change: [adjusters: Adjuster[]]; table: [file: File] }>()
const file = ref<HTMLInputElement | null>(null)
const RAISED = ['', 'clockwise', 'anticlockwise', 'inwards', 'outwards', 'up', 'down'].map(v => ({
  value: v,
  title: v || 'not known',
}))
const COLUMNS: readonly EditColumn[] = [
  { key: 'designator', label: 'Designator', width: '92px' },
  { key: 'name', label: 'Name' },
  {
    key: 'kind',
    label: 'Kind',
    kind: 'select',
    items: ADJUSTER_KINDS.map(k => ({ value: k, title: ADJUSTER_KIND_WORDS[k] })),
  },
  {
    key: 'role',
    label: 'In the circuit',
    kind: 'select',
    items: ADJUSTER_ROLES.map(r => ({ value: r, title: ROLE_WORDS[r] })),
  },
  { key: 'moves', label: 'Affects', kind: 'long', more: true },
  { key: 'where', label: 'Where', kind: 'long' },
  { key: 'turn', label: 'Direction', kind: 'long' },
  { key: 'raisedBy', label: 'Raised by', kind: 'select', items: RAISED, more: true },
  { key: 'tool', label: 'Tool', more: true },
  { key: 'caution', label: 'Caution', kind: 'optional', more: true },
]
const make = (): Adjuster => ({
  designator: '',
  kind: 'preset',
  role: 'coil',
  name: '',
  moves: '',
  where: '',
  turn: '',
  tool: '',
  caution: null,
  board: { x: 0.5, y: 0.5 },
})
/** A way that is not known is no way. */
const tidy = (a: Adjuster): Adjuster => {
  const { raisedBy, ...rest } = a
  return raisedBy ? { ...rest, raisedBy } : rest
}
function take(e: Event) {
  const [chosen] = (e.target as HTMLInputElement).files ?? []
  if (chosen) emit('table', chosen)
  ;(e.target as HTMLInputElement).value = ''
}
</script>

<template>
  <div>
    <EditTable
      :rows="adjusters"
      :columns="COLUMNS"
      :make="make"
      add="Add adjuster"
      empty="No adjusters yet. Add what you find on the board, or import a table."
      @change="rows => emit('change', rows.map(tidy))"
    />
    <v-btn height="44" class="mt-2" @click="file?.click()">Import a table (CSV)</v-btn>
    <input
      ref="file"
      type="file"
      accept=".csv,text/csv"
      class="sr"
      aria-label="table of adjusters"
      @change="take"
    />
    <p class="quiet mt-2">
      Columns by heading: designator, name, kind, role, moves, where, turn, tool, caution. Only the designator
      is required. An existing one is updated.
    </p>
  </div>
</template>
