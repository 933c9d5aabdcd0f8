<script setup lang="ts">
import { t } from '#shared/i18n'
import type { WaitBegun } from '#core/run'
import { dayAndTime } from '#shared/words/dateWords'
import { WAIT_WORDS } from '#shared/words/workWords'

/** A run that waits says for what; one press takes it up again. */
defineProps<{ wait: WaitBegun }>()
const emit = defineEmits<{ goOn: [] }>()
</script>

<template>
  <p class="parked" role="status">
    <span
      ><b>{{ t('align.onHold') }}</b>
      {{
        t('align.sinceWaitingFor', {
          dayAndTime: dayAndTime(wait.atMs),
          wait: t(WAIT_WORDS[wait.waitsFor]),
          text: wait.text,
        })
      }}</span
    >{{ ' ' }}
    <v-btn height="44" @click="emit('goOn')">{{ t('align.resume') }}</v-btn>
  </p>
</template>

<style scoped>
.parked {
  display: flex;
  gap: 14px;
  align-items: center;
  justify-content: space-between;
  margin: 0 0 8px;
  padding: 4px 0 4px 10px;
  border-left: 4px dashed var(--unsure);
}
</style>
