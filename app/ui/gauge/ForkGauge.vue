<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { GaugeValues } from '#shared/words/gaugeScale'
import type { Mark } from '#shared/words/verdictWords'
import { forkLayout } from './forkLayout'

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

const layout = computed(() => forkLayout(props.values, props.compact))
const scale = computed(() => layout.value.scale)
const height = computed(() => (props.compact ? 26 : 92))
const y = computed(() => height.value / 2)
const tall = computed(() => (props.compact ? 9 : 15))
const x = (value: number) => layout.value.x(value)
const anchored = (value: number) => layout.value.anchored(value)
function text(value: number, decimals = props.decimals): string {
  return groupDigits(value, decimals, props.values.signed)
}
const fill = computed(() => {
  if (props.mark === 'inside') return 'var(--in)'
  if (props.mark === 'above' || props.mark === 'below') return 'var(--out)'
  return props.mark === 'cannot-tell' ? 'var(--unsure)' : 'var(--ink2)'
})
const nowWords = computed(() => (props.values.now === null ? t('frame.noReading') : text(props.values.now)))
</script>

<template>
  <svg
    v-if="scale"
    class="fork"
    :viewBox="`0 0 ${layout.width} ${height}`"
    :class="{ compact }"
    role="img"
    :aria-label="t('frame.scaleToNow', { low: text(scale.min), high: text(scale.max), unit, nowWords })"
  >
    <line :x1="x(scale.min)" :x2="x(scale.max)" :y1="y" :y2="y" stroke="var(--line2)" stroke-width="1.500" />
    <rect
      v-if="layout.window"
      class="window"
      :x="layout.window.x"
      :y="y - (compact ? 8 : 12)"
      :width="layout.window.width"
      :height="compact ? 16 : 24"
      fill="var(--win)"
    />
    <line
      v-for="edge in layout.edges"
      :key="edge"
      :x1="edge"
      :x2="edge"
      :y1="y - tall"
      :y2="y + tall"
      stroke="var(--ink2)"
      stroke-width="1.300"
    />
    <template v-if="!compact">
      <g v-for="tick in scale.ticks" :key="tick">
        <line :x1="x(tick)" :x2="x(tick)" :y1="y - 4" :y2="y + 4" stroke="var(--line2)" />
        <text :x="anchored(tick).x" :y="y + 36" :text-anchor="anchored(tick).anchor">
          {{ text(tick, layout.tickDecimals) }}
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
        v-if="values.aim !== null && !layout.aimClash"
        :x="anchored(values.aim).x"
        y="18"
        :text-anchor="anchored(values.aim).anchor"
        class="strong"
      >
        {{ t('frame.target', { text: text(values.aim) }) }}
      </text>
      <text
        v-if="values.asFound !== null && !layout.labelClash"
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
