<script setup lang="ts">
import type { PeakLook } from '../../../core/run'

/** What to do with the core now, readable from where both hands are in the set. */
defineProps<{ on: boolean, last: PeakLook | null, belowDb: number | null }>()
const emit = defineEmits<{ begin: [], end: [] }>()
const WORDS: Readonly<Record<PeakLook['word'], { readonly say: string, readonly how: string }>> = {
  'wait': { say: 'Wait for the needle', how: '' },
  'go-on': { say: 'The same way, a little', how: 'then wait for the needle' },
  'touch': { say: 'The same way, a touch', how: 'a few degrees, then wait' },
  'turn-back': { say: 'Turn back, a touch', how: 'it fell: the top lies behind; a few degrees, then wait' },
  'stop': { say: 'Stop here', how: 'within a tenth of a dB of the top' },
  'flat': { say: 'Nothing changes', how: 'try the other way by half a turn; if nothing changes there: another core, a broken one, or its stop' },
}
</script>

<template>
  <section class="coach" aria-label="Peak guide">
    <template v-if="on">
      <p class="word" role="status" aria-live="assertive">{{ last ? WORDS[last.word].say : 'Touch one core, then wait for the needle' }}</p>
      <p class="how">{{ last ? WORDS[last.word].how : 'turn a little at a time; the needle is waited for' }}<template v-if="belowDb !== null && belowDb > 0.005">; <b class="fig">{{ belowDb.toFixed(2) }}&#8239;dB</b> ({{ (100 * (1 - 10 ** (-belowDb / 10))).toFixed(1) }}&#8239;%) below the best so far</template></p>
      <div class="line"><v-btn @click="emit('begin')">Next core</v-btn><v-btn @click="emit('end')">Without guide</v-btn></div>
    </template>
    <v-btn v-else @click="emit('begin')">Guide me to the peak</v-btn>
  </section>
</template>

<style scoped>
.coach { margin: 8px 0; }
.word { font-size: 34px; font-weight: 650; line-height: 1.1; margin: 0; }
.how { color: var(--ink2); margin: 2px 0 8px; min-height: 22px; }
.line { display: flex; gap: 8px; }
</style>
