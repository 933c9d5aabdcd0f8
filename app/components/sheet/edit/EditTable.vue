<script setup lang="ts" generic="T extends object">
/** Rows of short fields that are written, moved and taken away alike: specification, test points, oscillators and their like. */
export interface EditColumn { readonly key: string, readonly label: string, readonly kind?: 'text' | 'long' | 'number' | 'select' | 'optional', readonly items?: readonly { readonly value: string, readonly title: string }[], readonly width?: string }

const props = defineProps<{ rows: readonly T[], columns: readonly EditColumn[], make: () => T, add: string, empty: string }>()
const emit = defineEmits<{ change: [rows: T[]] }>()
const valueOf = (row: T, key: string) => (row as Record<string, unknown>)[key] as string | number | null | undefined

function write(index: number, column: EditColumn, text: string) {
  const number = Number.parseFloat(text.replace(',', '.'))
  const value = column.kind === 'number' ? (Number.isFinite(number) ? number : 0) : column.kind === 'optional' && text.trim() === '' ? null : text
  emit('change', props.rows.map((r, i) => i === index ? { ...r, [column.key]: value } : r))
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
      <thead><tr><th v-for="c in columns" :key="c.key" :style="c.width ? { width: c.width } : {}">{{ c.label }}</th><th /></tr></thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="i">
          <td v-for="c in columns" :key="c.key">
            <select v-if="c.kind === 'select'" :value="valueOf(row, c.key) ?? ''" :aria-label="`${c.label}, row ${i + 1}`" @change="write(i, c, ($event.target as HTMLSelectElement).value)"><option v-for="o in c.items" :key="o.value" :value="o.value">{{ o.title }}</option></select>
            <textarea v-else-if="c.kind === 'long'" :value="String(valueOf(row, c.key) ?? '')" rows="2" :aria-label="`${c.label}, row ${i + 1}`" @change="write(i, c, ($event.target as HTMLTextAreaElement).value)" />
            <input v-else :value="valueOf(row, c.key) ?? ''" :class="{ fig: c.kind === 'number' }" :inputmode="c.kind === 'number' ? 'decimal' : undefined" :aria-label="`${c.label}, row ${i + 1}`" @change="write(i, c, ($event.target as HTMLInputElement).value)">
          </td>
          <td class="acts"><slot name="acts" :row="row" :index="i" /><button type="button" :aria-label="`row ${i + 1} up`" :disabled="i === 0" @click="move(i, -1)">up</button><button type="button" :aria-label="`take row ${i + 1} out`" @click="emit('change', rows.filter((_, k) => k !== i))">take out</button></td>
        </tr>
      </tbody>
    </table>
    <p v-else class="quiet">{{ empty }}</p>
    <v-btn height="44" class="mt-2" @click="emit('change', [...rows, make()])">{{ add }}</v-btn>
  </div>
</template>

<style scoped>
.scroll { overflow-x: auto; padding-bottom: 4px; }
table.plain td { padding: 4px 8px 4px 0; }
input, select, textarea { width: 100%; min-width: 84px; min-height: 44px; font: inherit; font-size: 14.5px; padding: 4px 8px; color: var(--ink); background: var(--sheet); border: 1px solid var(--edge); border-radius: 6px; }
.acts { white-space: nowrap; }
.acts :deep(button) { min-height: 44px; min-width: 44px; font: inherit; font-size: 13px; color: var(--accent); background: none; border: 0; text-decoration: underline; cursor: pointer; }
.acts :deep(button:disabled) { color: var(--ink2); text-decoration: none; cursor: default; }
</style>
