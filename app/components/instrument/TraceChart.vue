<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { usePlotly } from '../../composables/usePlotly'

/** Numbers of a block, in the order they came. */
const props = defineProps<{ values: readonly number[], night: boolean }>()
const host = ref<HTMLElement | null>(null)
const { load, token, plotly, failed } = usePlotly(host)
async function draw() {
  if (!plotly.value || !host.value) return
  await plotly.value.react(host.value, [{ y: [...props.values], type: 'scatter', mode: 'lines', line: { color: token('--accent'), width: 1.5 }, hovertemplate: 'point %{x}: %{y:.2f}<extra></extra>' }], {
    height: 300, margin: { l: 56, r: 16, t: 8, b: 40 }, paper_bgcolor: 'transparent', plot_bgcolor: 'transparent', showlegend: false, font: { family: getComputedStyle(host.value).getPropertyValue('--v-font-body'), size: 12.5, color: token('--ink') },
    xaxis: { title: { text: 'point' }, gridcolor: token('--line') }, yaxis: { title: { text: 'as sent' }, gridcolor: token('--line') },
  }, { displaylogo: false, responsive: true, displayModeBar: false })
}
onMounted(async () => {
  await load()
  await draw()
})
watch(() => [props.values, props.night], () => void draw(), { flush: 'post' })
onBeforeUnmount(() => host.value && plotly.value?.purge(host.value))
</script>

<template>
  <div>
    <div ref="host" role="img" :aria-label="`a trace of ${values.length} points`" />
    <p v-if="failed" class="quiet">The picture could not be loaded.</p>
  </div>
</template>
