<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'

/**
 * The last 30 seconds of a reading against its window. Values in the unit shown; time in seconds before now.
 */
const props = defineProps<{
  points: readonly { agoS: number; value: number }[]
  low: number | null
  high: number | null
  aim: number | null
  decimals: number
}>()

const W = 664
const H = 104
const LEFT = 60
const SPAN_S = 30

const range = computed(() => {
  const values = [...props.points.map(p => p.value), props.low, props.high].filter(
    v => v !== null,
  ) as number[]
  if (values.length === 0) return null
  const min = Math.min(...values)
  const max = Math.max(...values)
  const pad = (max - min || Math.abs(max) * 0.02 || 1) * 0.12
  return { min: min - pad, max: max + pad }
})
const x = (agoS: number) => LEFT + (1 - Math.min(SPAN_S, agoS) / SPAN_S) * (W - LEFT - 12)
const y = (value: number) =>
  8 + (1 - (value - range.value!.min) / (range.value!.max - range.value!.min)) * (H - 28)
const line = computed(() =>
  props.points
    .filter(p => p.agoS <= SPAN_S)
    .map(p => `${drawn(x(p.agoS))},${drawn(y(p.value))}`)
    .join(' '),
)
/** A tenth of a unit of the drawing is finer than any screen. */
const drawn = (v: number) => Math.round(v * 10) / 10
const last = computed(() => props.points.at(-1))
/** Labels that would stand on each other are not both written. */
const marks = computed(() => {
  const known = [props.low, props.high].filter(v => v !== null) as number[]
  const crowded = known.length === 2 && Math.abs(y(known[0]!) - y(known[1]!)) < 15
  return crowded ? [props.aim ?? known[1]!] : known
})
const text = (v: number) => groupDigits(v, props.decimals)
</script>

<template>
  <svg
    v-if="range"
    class="trend"
    :viewBox="`0 0 ${W} ${H}`"
    role="img"
    :aria-label="t('frame.theLast30Seconds')"
  >
    <rect
      v-if="low !== null && high !== null"
      :x="LEFT"
      :y="y(high)"
      :width="W - LEFT - 12"
      :height="Math.max(1, y(low) - y(high))"
      fill="var(--win)"
    />
    <line
      v-if="aim !== null"
      :x1="LEFT"
      :x2="W - 12"
      :y1="y(aim)"
      :y2="y(aim)"
      stroke="var(--ink2)"
      stroke-dasharray="3 4"
    />
    <text v-for="m in marks" :key="m" :x="LEFT - 8" :y="y(m) + 4" text-anchor="end">{{ text(m) }}</text>
    <polyline v-if="points.length > 1" :points="line" fill="none" stroke="var(--ink)" stroke-width="2" />
    <circle v-if="last" :cx="x(last.agoS)" :cy="y(last.value)" r="4.500" fill="var(--ink)" />
    <text :x="W - 12" :y="H - 4" text-anchor="end">{{ t('frame.last30S') }}</text>
  </svg>
</template>

<style scoped>
.trend {
  display: block;
  width: 100%;
  max-width: 664px;
  font: 12px var(--figures);
}
.trend text {
  fill: var(--ink2);
}
</style>
