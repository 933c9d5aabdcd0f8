<script setup lang="ts">
import { numberForField } from '#core/quantity'
import { t, translated } from '#shared/i18n'
import type { StepState, Turn } from '#core/run'
import { fieldPath, type MeasurePoint, type ModelSheet } from '#core/sheet'
import { conditionsWords } from '#shared/words/conditionWords'
import { staleWords } from '#shared/words/runWords'
import StateMark from '~/ui/gauge/StateMark.vue'

defineProps<{
  sheet: ModelSheet
  state: StepState
  point: MeasurePoint
  missing: readonly StepState[]
  turns: readonly Turn[]
  next: string | null
}>()
const emit = defineEmits<{ amend: [path: string] }>()
</script>

<template>
  <div class="head">
    <h1>{{ state.step.title }}</h1>
    <p class="do">{{ state.step.instruction }}</p>
    <p class="why">{{ state.step.why }}</p>
    <p v-if="missing.length > 0" class="needs">
      <StateMark mark="stale" />
      {{ t('align.firstAReadingTakenNowMay', { list: missing.map(m => m.step.title).join(', ') }) }}
    </p>
    <p v-else-if="state.status === 'stale'" class="needs">
      <StateMark mark="stale" /> {{ t('align.repeatTheReading', { stale: staleWords(state.staleBy) }) }}
    </p>
    <p v-else-if="next" class="needs">
      <StateMark aria-hidden="true" mark="partial" /> {{ t('align.next', { next }) }}
    </p>
    <div class="cond">
      <span v-for="c in conditionsWords(point, sheet)" :key="c.label"
        >{{ c.label }} <b>{{ c.value }}</b></span
      >
      <span
        >{{ t('align.supply') }} <b>{{ numberForField(sheet.nominalSupplyV) }} V</b></span
      ><span v-if="point.state.keyed"
        >{{ t('align.load') }} <b>{{ translated(sheet.load) }}</b></span
      >
      <span v-if="point.state.also"
        ><b>{{ translated(point.state.also) }}</b></span
      >
      <button
        type="button"
        class="fix"
        :aria-label="t('align.correctTheInstructionOfThisStep')"
        @click="emit('amend', fieldPath('step', state.step.id, 'instruction'))"
      >
        {{ t('align.correctThisStep') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.fix {
  font-size: 12.5px;
  color: var(--accent);
  text-decoration: underline;
  padding: 0 6px;
  min-height: 24px;
}
@media (pointer: coarse) {
  .fix {
    min-height: 44px;
  }
}
.do {
  margin: 3px 0 0;
  font-size: 15.5px;
  max-width: 74ch;
}
.why {
  margin: 1px 0 0;
  font-size: 14px;
  color: var(--ink2);
  max-width: 80ch;
}
.needs {
  margin: 5px 0 0;
  font-size: 14px;
  display: flex;
  gap: 8px;
  align-items: center;
  border-left: 3px solid var(--unsure);
  padding-left: 8px;
}
.cond {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin-top: 7px;
  font-size: 13.5px;
  color: var(--ink2);
}
.cond b {
  color: var(--ink);
  font-weight: 600;
}
@media (max-width: 700px) {
  .why {
    display: none;
  }
}
</style>
