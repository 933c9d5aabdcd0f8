<script setup lang="ts">
import type { WaitBegun } from '#core/run'
import { dayAndTime } from '#shared/words/runWords'
import { WAIT_WORDS } from '#shared/words/workWords'

/** A run that waits says for what; one press takes it up again. */
defineProps<{ wait: WaitBegun }>()
const emit = defineEmits<{ goOn: [] }>()
</script>

<template>
  <p class="parked" role="status">
    <span
      ><b>On hold</b> since {{ dayAndTime(wait.atMs) }}, waiting for {{ WAIT_WORDS[wait.waitsFor] }}:
      {{ wait.text }}</span
    >{{ ' ' }}
    <v-btn height="44" @click="emit('goOn')">Resume</v-btn>
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
