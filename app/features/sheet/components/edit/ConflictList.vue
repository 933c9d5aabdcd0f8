<script setup lang="ts">
import type { SheetConflict } from '#core/sheet'

/** Places that two people changed to different things: each is decided before the sheet is saved. */
defineProps<{ conflicts: readonly SheetConflict[]; taken: number }>()
const emit = defineEmits<{ decide: [conflict: SheetConflict, whose: 'mine' | 'theirs'] }>()
const nameOf = ({ part, name, field }: SheetConflict) =>
  [part === 'sheet' ? '' : part, name, field].filter(Boolean).join(', ')
const shown = (value: string | undefined) => {
  if (value === undefined) return 'removed'
  return value === '' ? 'empty' : value
}
</script>

<template>
  <section class="care" aria-label="Changed by someone else">
    <p>
      Someone else has saved this sheet: {{ taken }}
      {{ taken === 1 ? 'change was' : 'changes were' }} merged.<template v-if="conflicts.length > 0">
        {{ conflicts.length === 1 ? 'One field' : `${conflicts.length} fields` }} changed by both. Decide
        each, then save.</template
      >
    </p>
    <table v-if="conflicts.length > 0" class="plain">
      <thead>
        <tr>
          <th>Field</th>
          <th>Before</th>
          <th>Your version</th>
          <th>Saved version</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in conflicts" :key="nameOf(c)">
          <td>{{ nameOf(c) }}</td>
          <td class="quiet">{{ shown(c.base) }}</td>
          <td>
            {{ shown(c.mine) }}<br /><v-btn height="44" @click="emit('decide', c, 'mine')"
              >Use my version</v-btn
            >
          </td>
          <td>
            {{ shown(c.theirs) }}<br /><v-btn height="44" @click="emit('decide', c, 'theirs')"
              >Use saved version</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
