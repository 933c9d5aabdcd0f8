<script setup lang="ts">
import { t } from '#shared/i18n'
import type { Unmoved } from '#core/run'
import { unmovedWords } from '#shared/words/unmovedWords'

/** Something was turned and nothing followed: what it may be, and the way to correct the sheet. */
defineProps<{ seen: Unmoved }>()
const emit = defineEmits<{ amend: []; putBack: [] }>()
</script>

<template>
  <p class="unmoved" role="status">
    <span>{{ unmovedWords(seen) }}</span>
    <v-btn v-if="!seen.isReturned" height="44" @click="emit('putBack')">{{
      t('align.putBackToItsMark')
    }}</v-btn>
    <v-btn height="44" @click="emit('amend')">{{ t('align.correctTheSheet') }}</v-btn>
  </p>
</template>

<style scoped>
.unmoved {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  margin: 0 0 8px;
  padding: 4px 0 4px 10px;
  border-left: 3px dashed var(--unsure);
  font-size: 15px;
}
</style>
