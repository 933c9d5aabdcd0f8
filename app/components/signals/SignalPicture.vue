<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { usePlotly } from '../../composables/usePlotly'
import { saveFile } from '../../logic/saveFile'
import { pictureCsv, type Picture } from '../../logic/signalPictures'

/** One picture of a recording, with its numbers and itself to take away. */
const props = defineProps<{ picture: Picture, night: boolean, name: string }>()
const host = ref<HTMLElement | null>(null)
const { load, token, plotly, failed } = usePlotly(host)

async function draw() {
  if (!plotly.value || !host.value) return
  const axis = { gridcolor: token('--line'), zeroline: false, linecolor: token('--line2'), tickfont: { color: token('--ink2') } }
  const layout = props.picture.layout as { xaxis?: object, yaxis?: object }
  await plotly.value.react(host.value, props.picture.traces as never, {
    ...layout, height: 270, margin: { l: 56, r: 10, t: 8, b: 44 }, paper_bgcolor: 'transparent', plot_bgcolor: 'transparent', showlegend: props.picture.traces.length > 1,
    font: { family: getComputedStyle(host.value).getPropertyValue('--v-font-body'), size: 13, color: token('--ink') }, legend: { orientation: 'h', x: 0, y: 1.14 },
    xaxis: { ...axis, ...layout.xaxis }, yaxis: { ...axis, ...layout.yaxis },
  } as never, { displaylogo: false, responsive: true, displayModeBar: false })
}
const save = (data: Blob, ending: string) => saveFile(data, `${props.name}-${props.picture.id}.${ending}`)
const saveCsv = () => save(new Blob([pictureCsv(props.picture)], { type: 'text/csv' }), 'csv')
async function image(format: 'png' | 'svg') {
  const url = await (plotly.value as unknown as { toImage: (host: HTMLElement, o: object) => Promise<string> }).toImage(host.value!, { format, width: 900, height: 420 })
  save(await (await fetch(url)).blob(), format)
}
/** Pictures are drawn one after the other, between what the hands do. */
const idle = () => new Promise<void>(done => 'requestIdleCallback' in window ? requestIdleCallback(() => done(), { timeout: 500 }) : setTimeout(done, 30))
onMounted(async () => {
  await load()
  await idle()
  await draw()
})
watch(() => [props.picture, props.night], () => void draw(), { flush: 'post' })
onBeforeUnmount(() => host.value && plotly.value?.purge(host.value))
</script>

<template>
  <figure class="picture">
    <figcaption><b>{{ picture.title }}</b> <span class="quiet">{{ picture.note }}</span>
      <span class="take no-print"><button type="button" @click="saveCsv">CSV</button><button type="button" @click="image('png')">PNG</button><button type="button" @click="image('svg')">SVG</button></span>
    </figcaption>
    <div ref="host" class="plot" role="img" :aria-label="picture.title" />
    <p v-if="failed" class="quiet">The picture could not be loaded; the table has every number.</p>
  </figure>
</template>

<style scoped>
.picture { margin: 0; min-width: 0; }
figcaption { font-size: 14px; min-height: 44px; display: flex; gap: 10px; align-items: baseline; flex-wrap: wrap; }
figcaption .quiet { font-size: 12.5px; flex: 1; min-width: 160px; }
.take button { min-height: 40px; min-width: 44px; font: inherit; font-size: 12.5px; color: var(--ink2); background: none; border: 0; cursor: pointer; text-decoration: underline; }
.plot { min-height: 270px; }
</style>
