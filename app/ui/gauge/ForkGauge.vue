<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { gaugeScale, type GaugeValues } from '#shared/words/gaugeScale'
import type { Mark } from '#shared/words/verdictWords'

/**
 * The signature mark: window, target tick, as-found hollow, present filled, the line between, the whisker.
 * Values in the unit shown.
 */
const props = withDefaults(
  defineProps<{
    values: GaugeValues
    unit: string
    decimals?: number
    mark?: Mark | null
    compact?: boolean
  }>(),
  { decimals: 0, mark: null, compact: false },
)

const width = computed(() => (props.compact ? 240 : 664))
const height = computed(() => (props.compact ? 26 : 92))
const y = computed(() => (props.compact ? 13 : 46))
const scale = computed(() => gaugeScale(props.values))

function x(value: number): number {
  const { min, max } = scale.value!
  const pad = props.compact ? 8 : 12
  return pad + Math.max(-0.02, Math.min(1.02, (value - min) / (max - min))) * (width.value - 2 * pad)
}
/** Ticks carry the digits of their spacing, not those of the instrument. */
const tickDecimals = computed(() => {
  const [a = 0, b = 1] = scale.value?.ticks ?? []
  return Math.max(0, Math.min(4, -Math.floor(Math.log10(b - a) + 1e-9)))
})
function text(value: number, decimals = props.decimals): string {
  return groupDigits(value, decimals, props.values.signed)
}
/** Labels keep inside the drawing. */
function anchored(value: number): { x: number; anchor: 'start' | 'middle' | 'end' } {
  const at = x(value)
  if (at < 60) return { x: Math.max(2, at - 8), anchor: 'start' }
  return at > width.value - 60
    ? { x: Math.min(width.value - 2, at + 8), anchor: 'end' }
    : { x: at, anchor: 'middle' }
}
const fill = computed(() => {
  if (props.mark === 'inside') return 'var(--in)'
  if (props.mark === 'above' || props.mark === 'below') return 'var(--out)'
  return props.mark === 'cannot-tell' ? 'var(--unsure)' : 'var(--ink2)'
})
const left = computed(() =>
  scale.value && props.values.low !== null ? x(props.values.low) : x(scale.value!.min),
)
const right = computed(() =>
  scale.value && props.values.high !== null ? x(props.values.high) : x(scale.value!.max),
)
const hasWindow = computed(() => props.values.low !== null || props.values.high !== null)
const labelClash = computed(
  () =>
    props.values.now !== null &&
    props.values.asFound !== null &&
    Math.abs(x(props.values.now) - x(props.values.asFound)) < 130,
)
const aimClash = computed(
  () =>
    props.values.aim !== null &&
    [props.values.now, props.values.asFound].some(
      v => v !== null && Math.abs(x(v) - x(props.values.aim!)) < 110,
    ),
)
const nowWords = computed(() => (props.values.now === null ? t('frame.noReading') : text(props.values.now)))
</script>

<template>
  <svg
    v-if="scale"
    class="fork"
    :viewBox="`0 0 ${width} ${height}`"
    :class="{ compact }"
    role="img"
    :aria-label="t('frame.scaleToNow', { text: text(scale.min), text2: text(scale.max), unit, nowWords })"
  >
    <line :x1="x(scale.min)" :x2="x(scale.max)" :y1="y" :y2="y" stroke="var(--line2)" stroke-width="1.500" />
    <rect
      v-if="hasWindow"
      class="window"
      :x="left"
      :y="y - (compact ? 8 : 12)"
      :width="Math.max(1.5, right - left)"
      :height="compact ? 16 : 24"
      fill="var(--win)"
    />
    <template v-if="hasWindow">
      <line
        v-if="values.low !== null"
        :x1="left"
        :x2="left"
        :y1="y - (compact ? 9 : 15)"
        :y2="y + (compact ? 9 : 15)"
        stroke="var(--ink2)"
        stroke-width="1.300"
      />
      <line
        v-if="values.high !== null"
        :x1="right"
        :x2="right"
        :y1="y - (compact ? 9 : 15)"
        :y2="y + (compact ? 9 : 15)"
        stroke="var(--ink2)"
        stroke-width="1.300"
      />
    </template>
    <template v-if="!compact">
      <g v-for="tick in scale.ticks" :key="tick">
        <line :x1="x(tick)" :x2="x(tick)" :y1="y - 4" :y2="y + 4" stroke="var(--line2)" />
        <text :x="anchored(tick).x" :y="y + 36" :text-anchor="anchored(tick).anchor">
          {{ text(tick, tickDecimals) }}
        </text>
      </g>
    </template>
    <line
      v-if="values.aim !== null"
      :x1="x(values.aim)"
      :x2="x(values.aim)"
      :y1="y - (compact ? 11 : 20)"
      :y2="y + (compact ? 11 : 20)"
      stroke="var(--ink)"
      stroke-width="2.400"
    />
    <line
      v-if="values.asFound !== null && values.now !== null"
      :x1="x(values.asFound)"
      :x2="x(values.now)"
      :y1="y"
      :y2="y"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <circle
      v-if="values.asFound !== null"
      :cx="x(values.asFound)"
      :cy="y"
      :r="compact ? 5.5 : 7.5"
      fill="var(--paper)"
      stroke="var(--ink)"
      stroke-width="2.200"
    />
    <template v-if="values.now !== null">
      <line
        v-if="values.bound !== null"
        :x1="x(values.now - values.bound)"
        :x2="x(values.now + values.bound)"
        :y1="y"
        :y2="y"
        stroke="var(--ink)"
        stroke-width="5"
        opacity=".4"
      />
      <circle
        class="present"
        :cx="x(values.now)"
        :cy="y"
        :r="compact ? 6 : 8.5"
        :fill="fill"
        stroke="var(--paper)"
        stroke-width="2"
      />
    </template>
    <template v-if="!compact">
      <text
        v-if="values.aim !== null && !aimClash"
        :x="anchored(values.aim).x"
        y="18"
        :text-anchor="anchored(values.aim).anchor"
        class="strong"
      >
        {{ t('frame.target', { text: text(values.aim) }) }}
      </text>
      <text
        v-if="values.asFound !== null && !labelClash"
        :x="anchored(values.asFound).x"
        y="24"
        :text-anchor="anchored(values.asFound).anchor"
      >
        {{ t('frame.asFound', { text: text(values.asFound) }) }}
      </text>
      <text
        v-if="values.now !== null"
        :x="anchored(values.now).x"
        y="24"
        :text-anchor="anchored(values.now).anchor"
        class="strong"
      >
        {{ t('frame.now', { text: text(values.now) }) }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.fork {
  display: block;
  width: 100%;
  max-width: 664px;
  font: 12.5px var(--figures);
  fill: var(--ink2);
}
.fork.compact {
  max-width: 240px;
  min-width: 140px;
}
.fork text {
  fill: var(--ink2);
}
.fork text.strong {
  fill: var(--ink);
}
</style>
