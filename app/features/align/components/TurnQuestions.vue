<script setup lang="ts">
import { t } from '#shared/i18n'
import type { TurnQuestion } from '#core/run'
import { turnQuestionWords } from '#shared/words/runWords'

/** A reading that moved although nobody logged a turn: one press says what was turned. */
defineProps<{ questions: readonly TurnQuestion[] }>()
const emit = defineEmits<{ answer: [rowId: string, designators: readonly string[]] }>()
</script>

<template>
  <div
    v-for="q in questions"
    :key="q.rowId"
    class="question"
    role="group"
    :aria-label="t('align.wasItAdjusted')"
  >
    <span>{{ turnQuestionWords(q) }}</span>
    <v-btn
      v-for="d in q.designators.length > 1 ? q.designators : []"
      :key="d"
      height="44"
      @click="emit('answer', q.rowId, [d])"
      >{{ d }}</v-btn
    >
    <v-btn height="44" @click="emit('answer', q.rowId, q.designators)">{{
      q.designators.length > 1 ? t('align.allOfThem') : t('align.yes')
    }}</v-btn>
    <v-btn height="44" @click="emit('answer', q.rowId, [])">{{ t('align.noNone') }}</v-btn>
  </div>
</template>

<style scoped>
.question {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 6px 0;
  padding: 4px 0 4px 10px;
  border-left: 3px dashed var(--unsure);
  font-size: 15px;
}
</style>
