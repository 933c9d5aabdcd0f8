<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import type { Logged, TracePoint } from '#core/practice'
import { usePlotly, type Figure } from '~/ui/usePlotly'
import { actionWords } from '../logic/practiceReview'

/** The case on a time line: power, temperature, key-down, and what the hands did. */
const props = defineProps<{
  trace: readonly TracePoint[]
  log: readonly Logged[]
  atS: number
  beginS: number
  night: boolean
}>()
const emit = defineEmits<{ moment: [atS: number] }>()
const host = ref<HTMLElement | null>(null)
const minutes = (s: number) => s / 60
const HANDS = ['turn', 'replace', 'soften', 'clean', 'wash', 'fit-trimmer', 'remove']

function figure(token: (name: string) => string): Figure {
  const { trace } = props
  const x = trace.map(t => minutes(t.atS))
  const hands = props.log.filter(l => HANDS.includes(l.action.kind))
  const top = Math.max(1, ...trace.map(t => t.powerW))
  const span = (from: number, to: number, rest: object) => ({
    type: 'rect' as const,
    xref: 'x' as const,
    yref: 'paper' as const,
    x0: minutes(from),
    x1: minutes(to),
    y0: 0,
    y1: 1,
    ...rest,
  })
  return {
    traces: [
      {
        x,
        y: trace.map(t => t.powerW),
        name: 'power, W',
        type: 'scatter',
        mode: 'lines',
        line: { color: token('--accent'), width: 2 },
      },
      {
        x,
        y: trace.map(t => t.junctionC),
        name: t('practice.outputDeviceC'),
        yaxis: 'y2',
        type: 'scatter',
        mode: 'lines',
        line: { color: token('--out'), width: 2, dash: 'dot' },
      },
      {
        x: hands.map(l => minutes(l.atS)),
        y: hands.map(() => top * 1.08),
        name: 'hands',
        type: 'scatter',
        mode: 'markers',
        marker: { symbol: 'triangle-down', size: 11, color: token('--ink') },
        hovertext: hands.map(l => actionWords(l.action)),
        hovertemplate: '%{hovertext}<extra></extra>',
      },
    ],
    layout: {
      height: 330,
      margin: { l: 52, r: 56, t: 8, b: 44 },
      hovermode: 'closest',
      legend: { orientation: 'h', y: 1.15 },
      font: { size: 12.5 },
      xaxis: {
        title: { text: t('practice.minutesAxis') },
        range: [minutes(props.beginS), minutes(trace.at(-1)!.atS)],
        gridcolor: token('--line'),
        zeroline: false,
      },
      yaxis: { title: { text: 'W' }, rangemode: 'tozero', gridcolor: token('--line') },
      // Its own round ticks: an overlaid axis otherwise takes its places from the other one.
      yaxis2: {
        overlaying: 'y',
        side: 'right',
        title: { text: '\u00b0C' },
        tickmode: 'auto',
        showgrid: false,
      },
      shapes: [
        ...keyedSpans(trace).map(([from, to]) =>
          span(from, to, { fillcolor: token('--accent'), opacity: 0.13, line: { width: 0 } }),
        ),
        span(props.atS, props.atS, { line: { color: token('--ink'), width: 2 } }),
      ],
    },
  }
}

function keyedSpans(trace: readonly TracePoint[]): [number, number][] {
  const out: [number, number][] = []
  trace.forEach((t, i) => {
    if (t.keyed && !trace[i - 1]?.keyed) out.push([t.atS, trace.at(-1)!.atS])
    if (!t.keyed && trace[i - 1]?.keyed) out[out.length - 1]![1] = t.atS
  })
  return out
}
/** A press on the picture chooses the moment. */
function listen(plot: HTMLElement) {
  const chart = plot as unknown as {
    on?: (event: string, told: (d: { points: { x: number }[] }) => void) => void
  }
  chart.on?.('plotly_click', d => emit('moment', d.points[0]!.x * 60))
}
const { failed } = usePlotly(host, { figure, on: () => [props.atS, props.trace, props.night], drawn: listen })
</script>

<template>
  <figure class="replay">
    <figcaption>
      {{ t('practice.theExerciseOnATimeLine') }}
      <span class="quiet">{{ t('practice.shadedKeyedTrianglesAdjustmentsAndRepairs') }}</span>
    </figcaption>
    <div ref="host" role="img" :aria-label="t('practice.powerAndTemperatureOverTheExercise')" />
    <p v-if="failed" class="quiet">{{ t('common.pictureNotLoaded') }}</p>
  </figure>
</template>

<style scoped>
.replay {
  margin: 12px 0 0;
  min-width: 0;
  overflow-x: auto;
}
figcaption {
  font-weight: 600;
  font-size: 14px;
}
figcaption .quiet {
  font-weight: 400;
  font-size: 12.5px;
}
</style>
