<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { usePlotly, type Figure } from '~/ui/usePlotly'
import { saveFile } from '~/data/saveFile'
import { coloured } from '../logic/coloured'
import { pictureCsv, type Picture } from '../logic/pictures/signalPictures'

/** One picture of a recording, with its numbers and itself to take away. */
const props = defineProps<{ picture: Picture; night: boolean; name: string }>()
const host = ref<HTMLElement | null>(null)

function figure(token: (name: string) => string): Figure {
  const axis = {
    gridcolor: token('--line'),
    zeroline: false,
    linecolor: token('--line2'),
    tickfont: { color: token('--ink2') },
  }
  const [traces, layout] = [props.picture.traces, props.picture.layout].map(p => coloured(p, token)) as [
    unknown[],
    { xaxis?: object; yaxis?: object },
  ]
  return {
    traces: traces as never,
    layout: {
      ...layout,
      height: 270,
      margin: { l: 56, r: 10, t: 8, b: 44 },
      showlegend: traces.length > 1,
      legend: { orientation: 'h', x: 0, y: 1.14 },
      xaxis: { ...axis, ...layout.xaxis },
      yaxis: { ...axis, ...layout.yaxis },
    } as never,
  }
}
const save = (data: Blob, ending: string) => saveFile(data, `${props.name}-${props.picture.id}.${ending}`)
const saveCsv = () => save(new Blob([pictureCsv(props.picture)], { type: 'text/csv' }), 'csv')
async function image(format: 'png' | 'svg') {
  const url = await draw(format, 900, 420)
  save(await (await fetch(url)).blob(), format)
}
/** Pictures are drawn one after the other, between what the hands do. */
const idle = () =>
  new Promise<void>(done =>
    'requestIdleCallback' in window
      ? requestIdleCallback(() => done(), { timeout: 500 })
      : setTimeout(done, 30),
  )
const { failed, image: draw } = usePlotly(host, {
  figure,
  on: () => [props.picture, props.night],
  before: idle,
})
</script>

<template>
  <figure class="picture">
    <figcaption>
      <b>{{ picture.title }}</b> <span class="quiet">{{ picture.note }}</span>
      <span class="take no-print"
        ><button type="button" @click="saveCsv">CSV</button
        ><button type="button" @click="image('png')">{{ t('signals.png') }}</button
        ><button type="button" @click="image('svg')">{{ t('signals.svg') }}</button></span
      >
    </figcaption>
    <div ref="host" class="plot" role="img" :aria-label="picture.title" />
    <p v-if="failed" class="quiet">{{ t('signals.thePictureCouldNotBeLoaded') }}</p>
  </figure>
</template>

<style scoped>
.picture {
  margin: 0;
  min-width: 0;
}
figcaption {
  font-size: 14px;
  min-height: 44px;
  display: flex;
  gap: 10px;
  align-items: baseline;
  flex-wrap: wrap;
}
figcaption .quiet {
  font-size: 12.5px;
  flex: 1;
  min-width: 160px;
}
.take button {
  min-height: 40px;
  min-width: 44px;
  font-size: 12.5px;
  color: var(--ink2);
  text-decoration: underline;
}
.plot {
  min-height: 270px;
}
</style>
