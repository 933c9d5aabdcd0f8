<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { dayMonthYear } from '#shared/words/dateWords'
import { GOES_STALE, type ModelSheet } from '#core/sheet'
import type { FieldTrust } from '#shared/sheetFile'
import { confidenceWords, fieldWords } from '#shared/words/sheetWords'

/** What can be turned; a press shows it on the board. */
const props = defineProps<{ sheet: ModelSheet; trust: readonly FieldTrust[] }>()
const emit = defineEmits<{ show: [designator: string] }>()
const day = (ms: number | null) => (ms === null ? null : dayMonthYear(ms))
const trusted = (designator: string) =>
  props.trust
    .filter(t => t.path.startsWith(`adjuster/${designator}/`))
    .map(
      t => `${fieldWords(t.path.split('/').at(-1)!)}: ${confidenceWords(day(t.correctedAtMs), t.confirmed)}`,
    )
</script>

<template>
  <div class="scroll" tabindex="0">
    <table class="plain">
      <thead>
        <tr>
          <th>{{ t('common.adjuster') }}</th>
          <th>{{ t('sheet.where') }}</th>
          <th>{{ t('sheet.directionTool') }}</th>
          <th>{{ t('common.affects') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="a in sheet.adjusters" :key="a.designator">
          <td>
            <button type="button" @click="emit('show', a.designator)">
              <b class="fig">{{ a.designator }}</b>
            </button>
            {{ a.name }}
          </td>
          <td>
            {{ a.where }}
            <div v-for="words in trusted(a.designator)" :key="words" class="trust">{{ words }}</div>
          </td>
          <td>
            {{ a.turn }}<br /><span class="quiet">{{ a.tool }}</span>
          </td>
          <td>
            {{ a.moves }}<br /><span class="quiet">{{ translated(GOES_STALE[a.role].because) }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.trust {
  font-size: 12.5px;
  color: var(--unsure);
}
button {
  color: var(--accent);
  min-height: 44px;
  padding: 0 4px 0 0;
  text-decoration: underline;
}
</style>
