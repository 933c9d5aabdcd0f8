<script setup lang="ts">
import type { SheetDifference, SheetProblem } from '#core/sheet'
import { t } from '#shared/i18n'
import { differenceName, sheetProblemWords } from '#shared/words/sheetWords'

/** What keeps a draft from being saved, its undo, and who saves it for what reason. */
defineProps<{
  said: { readonly text: string; readonly kind: string } | null
  problems: readonly SheetProblem[]
  differences: readonly SheetDifference[]
  canUndo: boolean
  canRedo: boolean
  saving: boolean
  isNew: boolean
  /** that it is saved as */
  revision: number
}>()
const emit = defineEmits<{ goTo: [problem: SheetProblem]; undo: []; redo: []; save: [] }>()
const who = defineModel<string>('who', { required: true })
const reason = defineModel<string>('reason', { required: true })
</script>

<template>
  <footer class="save">
    <p class="said" role="status" :class="said?.kind ?? (problems.length > 0 ? 'problem' : '')">
      {{ said?.text ?? '' }}
    </p>
    <ul v-if="problems.length > 0" class="problems" :aria-label="t('sheet.problemsOfTheSheet')">
      <li v-for="p in problems.slice(0, 4)" :key="p.code + sheetProblemWords(p)">
        <button type="button" class="text-button" @click="emit('goTo', p)">{{ sheetProblemWords(p) }}</button>
      </li>
      <li v-if="problems.length > 4" class="quiet">
        {{ t('sheet.andMore', { count: problems.length - 4 }) }}
      </li>
    </ul>
    <div class="line">
      <v-btn height="44" :disabled="!canUndo" @click="emit('undo')">{{ t('sheet.undo') }}</v-btn><v-btn
        height="44"
        :disabled="!canRedo"
        @click="emit('redo')"
        >{{ t('sheet.redo') }}</v-btn
      >
      <span class="quiet changes" :title="differences.map(differenceName).join('\n')"
        >{{ differences.length }}
        {{ differences.length === 1 ? t('sheet.lineChanged') : t('sheet.linesChanged') }}</span
      >
      <v-text-field
        v-model="who"
        class="who"
        :label="t('sheet.who')"
        maxlength="60"
        hide-details
      /><v-text-field v-model="reason" class="why" :label="t('sheet.why')" maxlength="500" hide-details />
      <v-btn
        size="large"
        variant="flat"
        color="primary"
        :loading="saving"
        :disabled="!isNew && differences.length === 0"
        @click="emit('save')"
        >{{ isNew ? t('sheet.saveTheSheet') : t('sheet.saveAsRevision', { revision: revision }) }}</v-btn
      >
    </div>
  </footer>
</template>

<style scoped>
.save {
  position: sticky;
  bottom: 0;
  background: var(--paper);
  border-top: 1px solid var(--line2);
  padding: 6px 0 10px;
  z-index: 3;
}
.said {
  margin: 0;
  min-height: 22px;
  font-weight: 600;
}
.said.problem {
  color: var(--out);
}
.said.ok {
  color: var(--in);
}
.line {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.who {
  max-width: 160px;
  min-width: 110px;
}
.why {
  min-width: 200px;
  flex: 1;
}
.changes {
  white-space: nowrap;
}
.problems {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 132px;
  overflow: auto;
}
.problems .text-button {
  text-align: left;
  color: var(--out);
  min-height: 32px;
  padding: 0;
}
</style>
