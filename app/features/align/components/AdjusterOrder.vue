<script setup lang="ts">
import { t } from '#shared/i18n'
import type { Adjuster } from '#core/sheet'
import { clockTime } from '#shared/words/dateWords'

/** Several adjusters of one step in the order in which they are turned; a press corrects where one is. */
defineProps<{
  adjusters: readonly Adjuster[]
  turnedAtMs: (designator: string) => number | null
  /** how far its position is trusted */
  mark: (designator: string) => string | null
}>()
const emit = defineEmits<{ amend: [designator: string] }>()
</script>

<template>
  <ol class="order">
    <li v-for="a in adjusters" :key="a.designator">
      <button
        type="button"
        :aria-label="t('align.correctOrConfirmItsPosition', { designator: a.designator, where: a.where })"
        @click="emit('amend', a.designator)"
      >
        <b>{{ a.designator }}</b> {{ a.name
        }}<span v-if="turnedAtMs(a.designator) !== null" class="quiet">{{
          t('align.adjusted', { clockTime: clockTime(turnedAtMs(a.designator)!) })
        }}</span
        ><span v-if="mark(a.designator)" class="mark">{{ mark(a.designator) }}</span>
      </button>
    </li>
  </ol>
</template>

<style scoped>
.order {
  margin: 6px 0 0;
  padding-left: 20px;
  font-size: 14px;
}
.order button {
  color: var(--ink);
  min-height: 32px;
  padding: 2px 0;
  text-align: left;
  vertical-align: top;
}
.mark {
  display: block;
  font-size: 12px;
  color: var(--unsure);
}
@media (pointer: coarse) {
  .order button {
    min-height: 44px;
  }
}
</style>
