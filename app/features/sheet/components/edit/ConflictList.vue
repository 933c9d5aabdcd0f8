<script setup lang="ts">
import { t } from '#shared/i18n'
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
  <section class="care" :aria-label="t('sheet.changedBySomeoneElse')">
    <p>
      {{ t('sheet.someoneElseHasSavedThisSheet', { taken })
      }}<template v-if="conflicts.length > 0">
        {{
          t('sheet.changedByBothDecideEachThen', {
            what:
              conflicts.length === 1 ? t('sheet.oneField') : t('sheet.fields', { count: conflicts.length }),
          })
        }}</template
      >
    </p>
    <table v-if="conflicts.length > 0" class="plain">
      <thead>
        <tr>
          <th>{{ t('sheet.field') }}</th>
          <th>{{ t('sheet.before') }}</th>
          <th>{{ t('sheet.yourVersion') }}</th>
          <th>{{ t('sheet.savedVersion') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in conflicts" :key="nameOf(c)">
          <td>{{ nameOf(c) }}</td>
          <td class="quiet">{{ shown(c.base) }}</td>
          <td>
            {{ shown(c.mine) }}<br /><v-btn height="44" @click="emit('decide', c, 'mine')">{{
              t('sheet.useMyVersion')
            }}</v-btn>
          </td>
          <td>
            {{ shown(c.theirs) }}<br /><v-btn height="44" @click="emit('decide', c, 'theirs')">{{
              t('sheet.useSavedVersion')
            }}</v-btn>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
