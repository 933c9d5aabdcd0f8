<script setup lang="ts">
/** What is heard: loudness of the tone, the reading spoken, the alarm of the key-down clock. */
defineProps<{ volume: number, everyS: number, hasVoice: boolean, alarm: boolean }>()
const emit = defineEmits<{ volume: [v: number], every: [s: number], alarm: [] }>()
const EVERY = [0, 2, 4, 8]
</script>

<template>
  <v-menu :close-on-content-click="false" location="top">
    <template #activator="{ props: button }"><v-btn v-bind="button" height="44">Sound</v-btn></template>
    <v-card class="sound" min-width="320">
      <label>Loudness <input type="range" min="0.05" max="1" step="0.05" :value="volume" @input="emit('volume', Number(($event.target as HTMLInputElement).value))"></label>
      <label>Speak the reading <select :value="everyS" :disabled="!hasVoice" @change="emit('every', Number(($event.target as HTMLSelectElement).value))"><option v-for="s in EVERY" :key="s" :value="s">{{ s === 0 ? 'not' : `every ${s} s` }}</option></select></label>
      <p v-if="!hasVoice" class="quiet">This browser has no voice.</p>
      <label class="check"><input type="checkbox" :checked="alarm" @change="emit('alarm')"> Warn before the key-down limit</label>
    </v-card>
  </v-menu>
</template>

<style scoped>
.sound { padding: 12px 16px; } label { display: flex; align-items: center; gap: 12px; min-height: 48px; justify-content: space-between; } .check { justify-content: flex-start; }
input[type=range] { width: 160px; height: 44px; accent-color: var(--accent); } input[type=checkbox] { width: 22px; height: 22px; } select { min-height: 44px; font: inherit; padding: 0 8px; border: 1px solid var(--edge); border-radius: 6px; background: var(--sheet); color: var(--ink); }
</style>
