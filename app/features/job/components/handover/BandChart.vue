<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import { usePlotly, type Figure } from '~/ui/usePlotly'
import { axisName, type BandChartData, type BandSeries } from '#shared/words/bandChart'

/** The band before and after. Plotly comes only with this component, on the one page that charts. */
const props = defineProps<{ data: BandChartData; night: boolean }>()
const host = ref<HTMLElement | null>(null)

const axisWords = computed(
  () => ({ channel: t('job.channel'), MHz: t('job.frequency'), band: t('job.band') })[props.data.axis.title],
)

function trace(token: (name: string) => string, series: BandSeries, name: string, hollow: boolean) {
  const ink = token('--ink')
  return {
    x: series.channels,
    y: series.values,
    name,
    type: 'scatter' as const,
    mode: props.data.axis.joined ? ('lines+markers' as const) : ('markers' as const),
    line: {
      color: hollow ? token('--ink2') : ink,
      width: 2,
      dash: hollow ? ('dot' as const) : ('solid' as const),
    },
    marker: {
      size: 11,
      color: hollow ? token('--paper') : token('--in'),
      line: { color: ink, width: 2 },
      symbol: 'circle' as const,
    },
    error_y: {
      type: 'data' as const,
      array: series.bounds,
      visible: true,
      thickness: 2,
      width: 0,
      color: ink,
    },
    hovertemplate: `${axisName(props.data.axis)} %{x}: %{y:.2f} ${props.data.unit}<extra>${name}</extra>`,
  }
}
function figure(token: (name: string) => string): Figure {
  const {
    window: win,
    unit,
    axis: { ticks },
  } = props.data
  const axis = {
    gridcolor: token('--line'),
    zeroline: false,
    linecolor: token('--line2'),
    tickfont: { color: token('--ink2') },
  }
  return {
    traces: [
      trace(token, props.data.before, t('job.asFound'), true),
      trace(token, props.data.after, t('job.asLeft'), false),
    ],
    layout: {
      height: 260,
      margin: { l: 58, r: 12, t: 10, b: 42 },
      xaxis: {
        ...axis,
        title: { text: axisName(props.data.axis) },
        ...(ticks
          ? {
              tickvals: ticks.map(t => t.at),
              ticktext: ticks.map(t => t.label),
              range: [ticks[0]!.at - 1, ticks.at(-1)!.at + 1],
            }
          : {}),
      },
      yaxis: { ...axis, title: { text: unit } },
      legend: { orientation: 'h', x: 0, y: 1.12 },
      shapes: win
        ? [
            {
              type: 'rect',
              xref: 'paper',
              x0: 0,
              x1: 1,
              y0: win.low,
              y1: win.high,
              fillcolor: token('--win'),
              opacity: 0.6,
              line: { width: 0 },
              layer: 'below',
            },
          ]
        : [],
    },
  }
}
const { failed } = usePlotly(host, { figure, on: () => [props.data, props.night] })
</script>

<template>
  <figure class="chart">
    <figcaption>
      {{ t('job.over', { title: data.title, axisWords }) }}
      <span class="quiet">{{ t('job.shadedToleranceBarsUncertainty', { unit: data.unit }) }}</span>
    </figcaption>
    <div
      ref="host"
      class="plot"
      role="img"
      :aria-label="t('job.overAsFoundAndAsLeft', { title: data.title, axisWords })"
    />
    <p v-if="failed" class="quiet">{{ t('job.thePictureCouldNotBeLoaded') }}</p>
  </figure>
</template>

<style scoped>
.chart {
  margin: 0;
  min-width: 0;
}
figcaption {
  font-weight: 600;
  font-size: 14px;
}
figcaption .quiet {
  font-weight: 400;
  font-size: 12.5px;
}
.plot {
  min-height: 260px;
}
</style>
