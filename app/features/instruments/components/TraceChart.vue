<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { usePlotly, type Figure } from '~/ui/usePlotly'

/** Numbers of a block, in the order they came. */
const props = defineProps<{ values: readonly number[]; night: boolean }>()
const host = ref<HTMLElement | null>(null)
function figure(token: (name: string) => string): Figure {
  return {
    traces: [
      {
        y: [...props.values],
        type: 'scatter',
        mode: 'lines',
        line: { color: token('--accent'), width: 1.5 },
        hovertemplate: 'point %{x}: %{y:.2f}<extra></extra>',
      },
    ],
    layout: {
      height: 300,
      margin: { l: 56, r: 16, t: 8, b: 40 },
      showlegend: false,
      font: { size: 12.5 },
      xaxis: { title: { text: 'point' }, gridcolor: token('--line') },
      yaxis: { title: { text: t('instruments.asSent') }, gridcolor: token('--line') },
    },
  }
}
const { failed } = usePlotly(host, { figure, on: () => [props.values, props.night] })
</script>

<template>
  <div>
    <div ref="host" role="img" :aria-label="t('instruments.aTraceOfPoints', { count: values.length })" />
    <p v-if="failed" class="quiet">{{ t('common.pictureNotLoaded') }}</p>
  </div>
</template>
