<script setup lang="ts">
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { ref } from 'vue'
import type { SteppedPoint } from '#core/instrument'
import { QUANTITIES } from '#core/quantity'
import type { SteppedBody } from '#shared/instrumentCommands'
import { usePlotly, type Figure } from '~/ui/usePlotly'
import { SETTING_WORDS } from '../logic/steppedWords'

/** One quantity against the other, as it is measured. */
const props = defineProps<{ plan: SteppedBody; points: readonly SteppedPoint[]; night: boolean }>()
const host = ref<HTMLElement | null>(null)

function figure(token: (name: string) => string): Figure {
  const set = SETTING_WORDS[props.plan.set]
  const read = QUANTITIES[props.plan.read]
  const points = props.points.filter(p => p.value !== null)
  /** A logarithmic axis takes its ends as powers of ten. */
  const onAxis = (v: number) => (props.plan.spacing === 'log' ? Math.log10(v * set.perSi) : v * set.perSi)
  return {
    traces: [
      {
        x: points.map(p => p.set * set.perSi),
        y: points.map(p => p.value! * read.perSi),
        type: 'scatter',
        mode: 'lines+markers',
        line: { color: token('--accent'), width: 2 },
        marker: { size: 7, color: token('--accent') },
        error_y: {
          type: 'data',
          array: points.map(p => 2 * (p.standardUncertainty ?? 0) * read.perSi),
          visible: true,
          color: token('--ink2'),
          thickness: 1,
        },
        hovertemplate: `%{x:.4g} ${set.unit}: %{y:.4g} ${read.shownUnit}<extra></extra>`,
      },
    ],
    layout: {
      height: 400,
      margin: { l: 64, r: 16, t: 8, b: 50 },
      showlegend: false,
      xaxis: {
        title: { text: `${t(set.label)}, ${set.unit}` },
        type: props.plan.spacing === 'log' ? 'log' : 'linear',
        gridcolor: token('--line'),
        range: [onAxis(props.plan.from), onAxis(props.plan.to)],
      },
      yaxis: {
        title: { text: `${quantityLabel(props.plan.read)}, ${read.shownUnit}` },
        rangemode: 'tozero',
        gridcolor: token('--line'),
      },
    },
  }
}
const { failed } = usePlotly(host, { figure, on: () => [props.points, props.night] })
</script>

<template>
  <div>
    <div
      ref="host"
      role="img"
      :aria-label="
        t('instruments.overPoints', {
          label: quantityLabel(plan.read),
          steppedLabel: t(SETTING_WORDS[plan.set].label),
          count: points.length,
        })
      "
    />
    <p v-if="failed" class="quiet">{{ t('common.pictureNotLoaded') }}</p>
  </div>
</template>
