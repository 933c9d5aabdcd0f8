<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { ADJUSTER_KINDS, ADJUSTER_ROLES, MENU_LAWS, RAISED_BY, type Adjuster } from '#core/sheet'
import { ROLE_WORDS } from '#shared/words/roleWords'
import { ADJUSTER_KIND_WORDS, LAW_WORDS } from '#shared/words/sheetWords'
import EditTable from './EditTable.vue'
import type { EditColumn } from './editColumn'

/** Everything that can be turned; a table of a spreadsheet can be read in. */
defineProps<{ adjusters: readonly Adjuster[] }>()
const emit = defineEmits<{ change: [adjusters: Adjuster[]]; table: [file: File] }>()
const file = ref<HTMLInputElement | null>(null)
const RAISED = ['', ...RAISED_BY].map(v => ({
  value: v,
  title: v || t('sheet.notKnown'),
}))
const LAWS = [
  { value: '', title: t('sheet.notKnown') },
  ...MENU_LAWS.map(v => ({ value: v as string, title: t(LAW_WORDS[v]) })),
]
const COLUMNS: readonly EditColumn[] = [
  { key: 'designator', label: t('sheet.designator'), width: '92px' },
  { key: 'name', label: t('common.name') },
  {
    key: 'kind',
    label: t('sheet.kind'),
    kind: 'select',
    items: ADJUSTER_KINDS.map(k => ({ value: k, title: t(ADJUSTER_KIND_WORDS[k]) })),
  },
  {
    key: 'role',
    label: t('sheet.inTheCircuit'),
    kind: 'select',
    items: ADJUSTER_ROLES.map(r => ({ value: r, title: t(ROLE_WORDS[r]) })),
  },
  { key: 'moves', label: t('common.affects'), kind: 'long', more: true },
  { key: 'where', label: t('sheet.where'), kind: 'long' },
  { key: 'turn', label: t('common.direction'), kind: 'long' },
  { key: 'raisedBy', label: t('sheet.raisedBy'), kind: 'select', items: RAISED, more: true },
  { key: 'law', label: t('sheet.menuLaw'), kind: 'select', items: LAWS, more: true },
  { key: 'tool', label: t('common.tool'), more: true },
  { key: 'caution', label: t('sheet.caution'), kind: 'optional', more: true },
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
/** A way or a law that is not known is none. */
const tidy = (a: Adjuster): Adjuster => {
  const { raisedBy, law, ...rest } = a
  return { ...rest, ...(raisedBy ? { raisedBy } : {}), ...(law ? { law } : {}) }
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
      :add="t('sheet.addAdjuster')"
      :empty="t('sheet.noAdjustersYetAddWhatYou')"
      @change="rows => emit('change', rows.map(tidy))"
    />
    <v-btn height="44" class="mt-2" @click="file?.click()">{{ t('sheet.importATableCsv') }}</v-btn>
    <input
      ref="file"
      type="file"
      accept=".csv,text/csv"
      class="sr"
      :aria-label="t('sheet.tableOfAdjusters')"
      @change="take"
    />
    <p class="quiet mt-2">
      {{ t('sheet.columnsByHeadingDesignatorNameKind') }}
    </p>
  </div>
</template>
