<script setup lang="ts">
import { computed } from 'vue'
import type { Adjuster } from '../../../core/sheet'

/** Where to put the tool: the board with its adjusters, those of this step marked. */
const props = defineProps<{ adjusters: readonly Adjuster[], wanted: readonly string[] }>()
/** Menu values and front panel controls are nowhere on the board. */
const onBoard = computed(() => props.adjusters.filter(a => a.kind !== 'menu-value' && a.kind !== 'control'))
const W = 238
const H = 172
const x = (a: Adjuster) => 12 + a.board.x * (W - 24)
const y = (a: Adjuster) => 10 + a.board.y * (H - 20)
const wantedHere = (a: Adjuster) => props.wanted.includes(a.designator)
/** Presets stand at the lower edge: their label goes beside them. */
const beside = (a: Adjuster) => a.kind === 'preset'
</script>

<template>
  <svg v-if="onBoard.length > 0" class="board" :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="wanted.length ? `board, ${wanted.join(', ')} marked` : 'board'">
    <rect x="4" y="4" :width="W - 8" :height="H - 8" rx="3" fill="none" stroke="var(--line2)" stroke-width="1.500" />
    <rect x="14" y="16" width="62" height="36" fill="none" stroke="var(--line2)" stroke-width="1.500" /><text x="45" y="38" text-anchor="middle">IC2</text>
    <g v-for="a in onBoard" :key="a.designator">
      <rect v-if="a.kind === 'core'" :x="x(a) - 9" :y="y(a) - 9" width="18" height="18" fill="none" stroke="var(--line2)" stroke-width="1.500" />
      <circle v-else :cx="x(a)" :cy="y(a)" r="8.500" fill="none" stroke="var(--line2)" stroke-width="1.500" />
      <template v-if="wantedHere(a)">
        <circle :cx="x(a)" :cy="y(a)" r="12" fill="none" stroke="var(--accent)" stroke-width="2.500" /><circle :cx="x(a)" :cy="y(a)" r="5.500" fill="var(--accent)" />
      </template>
      <text :x="x(a) + (beside(a) ? 17 : 0)" :y="y(a) + (beside(a) ? 4 : 26)" :text-anchor="beside(a) ? 'start' : 'middle'" :class="{ strong: wantedHere(a) }">{{ a.designator }}</text>
    </g>
  </svg>
</template>

<style scoped>
.board { display: block; width: 100%; background: var(--sheet); border: 1px solid var(--line); border-radius: 4px; font: 10.5px var(--figures); }
text { fill: var(--ink2); }
text.strong { fill: var(--ink); font-weight: 700; }
</style>
