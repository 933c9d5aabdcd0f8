<script setup lang="ts" generic="T extends object">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import EditField from './EditField.vue'
import type { EditColumn } from './editColumn'

const props = defineProps<{
  rows: readonly T[]
  columns: readonly EditColumn[]
  make: () => T
  add: string
  empty: string
}>()
const emit = defineEmits<{ change: [rows: T[]] }>()
const shown = computed(() => props.columns.filter(c => !c.more))
const hidden = computed(() => props.columns.filter(c => c.more))
const open = ref<number | null>(null)
const valueOf = (row: T, key: string) =>
  (row as Record<string, unknown>)[key] as string | number | null | undefined

function write(index: number, column: EditColumn, text: string) {
  const value = column.kind === 'optional' && text.trim() === '' ? null : text
  put(index, column, value)
}
function put(index: number, column: EditColumn, value: string | number | null) {
  emit(
    'change',
    props.rows.map((r, i) => (i === index ? { ...r, [column.key]: value } : r)),
  )
}
function move(index: number, by: number) {
  const rows = [...props.rows]
  const [row] = rows.splice(index, 1)
  rows.splice(Math.max(0, Math.min(rows.length, index + by)), 0, row!)
  emit('change', rows)
}
</script>

<template>
  <div class="scroll" tabindex="0">
    <table v-if="rows.length > 0" class="plain">
      <thead>
        <tr>
          <th v-for="c in shown" :key="c.key" :style="c.width ? { width: c.width } : {}">{{ c.label }}</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <template v-for="(row, i) in rows" :key="i">
          <tr>
            <td v-for="c in shown" :key="c.key">
              <EditField
                :column="c"
                :value="valueOf(row, c.key)"
                :row="i + 1"
                @write="text => write(i, c, text)"
                @enter="value => put(i, c, value)"
              />
            </td>
            <td class="acts">
              <button
                v-if="hidden.length > 0"
                type="button"
                :aria-expanded="open === i"
                :aria-label="t('sheet.moreOfRow', { i: i + 1 })"
                @click="open = open === i ? null : i"
              >
                {{ t('sheet.more') }}</button><button
                type="button"
                :aria-label="t('sheet.rowUp', { i: i + 1 })"
                :disabled="i === 0"
                @click="move(i, -1)"
              >
                {{ t('sheet.up') }}</button
              ><button
                type="button"
                :aria-label="t('sheet.removeRow', { i: i + 1 })"
                @click="
                  emit(
                    'change',
                    rows.filter((_, k) => k !== i),
                  )
                "
              >
                {{ t('sheet.remove') }}
              </button>
            </td>
          </tr>
          <tr v-if="open === i">
            <td :colspan="shown.length + 1">
              <div class="extra">
                <label v-for="c in hidden" :key="c.key"
                  >{{ c.label
                  }}<EditField
                    :column="c"
                    :value="valueOf(row, c.key)"
                    :row="i + 1"
                    @write="text => write(i, c, text)"
                    @enter="value => put(i, c, value)"
                /></label>
              </div>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <p v-else class="quiet">{{ empty }}</p>
    <v-btn height="44" class="mt-2" @click="emit('change', [...rows, make()])">{{ add }}</v-btn>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  padding-bottom: 4px;
}
table.plain td {
  padding: 4px 8px 4px 0;
}
.extra {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 8px 14px;
  padding: 0 0 10px 14px;
  border-left: 2px solid var(--accent);
}
.extra label {
  font-size: 12.5px;
  color: var(--ink2);
}
.acts {
  white-space: nowrap;
}
.acts :deep(button) {
  min-height: 44px;
  min-width: 44px;
  font-size: 13px;
  color: var(--accent);
  text-decoration: underline;
}
.acts :deep(button:disabled) {
  color: var(--ink2);
  text-decoration: none;
  cursor: default;
}
</style>
