<script setup lang="ts">
import { computed } from 'vue'
import type { SettingsNoted } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import type { CardLine } from '#core/work'
import { t } from '#shared/i18n'
import {
  bandWords,
  connectedWords,
  controlsUsed,
  controlWords,
  matchAdviceOfCard,
  matchText,
  outputText,
  positionOf,
  settingsFor,
} from '#shared/words/settingsWords'

/** Where the operator's controls stand, a line for each band, mode and connection. */
const props = defineProps<{
  lines: readonly CardLine[]
  controls: readonly string[]
  sheet: ModelSheet
}>()
const emit = defineEmits<{ edit: [noted: SettingsNoted]; strike: [noted: SettingsNoted] }>()
const used = computed(() => controlsUsed(props.lines, props.controls))
const hasOutput = computed(() => props.lines.some(l => l.output))
const hasMatch = computed(() => props.lines.some(l => l.noted.match))
const advice = computed(() => matchAdviceOfCard(props.sheet, props.lines))
const hasText = computed(() => props.lines.some(l => l.noted.text))
</script>

<template>
  <div class="scroll" tabindex="0">
    <table class="plain">
      <thead>
        <tr>
          <th>{{ t('settings.band') }}</th>
          <th>{{ t('form.connectedTo') }}</th>
          <th v-for="c in used" :key="c">{{ controlWords(sheet, c) }}</th>
          <th v-if="hasOutput">{{ t('settings.outputRead') }}</th>
          <th v-if="hasMatch">{{ t('settings.match') }}</th>
          <th v-if="hasText">{{ t('form.note') }}</th>
          <th class="no-print" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="l in lines" :key="l.noted.id">
          <th scope="row">
            {{ bandWords(sheet, l.noted.channel)
            }}<template v-if="l.noted.mode">, {{ l.noted.mode }}</template>
          </th>
          <td>{{ connectedWords(l.noted.connectedTo) }}</td>
          <td v-for="c in used" :key="c" class="fig">{{ positionOf(l.noted, c) || '\u2013' }}</td>
          <td v-if="hasOutput" class="fig">{{ outputText(l) || '\u2013' }}</td>
          <td v-if="hasMatch">{{ matchText(l.noted) || '\u2013' }}</td>
          <td v-if="hasText">{{ l.noted.text }}</td>
          <td class="acts no-print">
            <button
              type="button"
              :aria-label="t('settings.changeOf', { what: settingsFor(sheet, l.noted) })"
              @click="emit('edit', l.noted)"
            >
              {{ t('settings.change') }}</button><button
              type="button"
              :aria-label="t('settings.strikeOutOf', { what: settingsFor(sheet, l.noted) })"
              @click="emit('strike', l.noted)"
            >
              {{ t('settings.strikeOut') }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <p v-for="w in advice" :key="w" class="care">{{ w }}</p>
</template>

<style scoped>
/* A band is read first: not as small as the heads of the columns. */
tbody th {
  color: var(--ink);
  font-size: 15px;
  border-bottom-color: var(--line);
  white-space: nowrap;
}
tbody th,
tbody td {
  vertical-align: baseline;
}
.acts {
  white-space: nowrap;
}
.acts button {
  min-height: 44px;
  padding: 0 8px;
  color: var(--accent);
}
</style>
