<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { usePlotly, type Figure } from '~/ui/usePlotly'
import type { SpreadLine } from '#shared/words/spreadView'

/**
 * As found: this set against the others of its model. Bars hold the middle half, thin lines eight tenths of
 * the sets.
 */
const props = defineProps<{ lines: readonly SpreadLine[]; night: boolean; own: boolean }>()
const host = ref<HTMLElement | null>(null)

function figure(token: (name: string) => string): Figure {
  const y = props.lines.map(l => l.title)
  // Text would be drawn upon the bars.
  const hover = { hovertext: props.lines.map(l => l.words), hovertemplate: '%{hovertext}<extra></extra>' }
  const thin = {
    x: props.lines.map(l => l.p90 - l.p10),
    base: props.lines.map(l => l.p10),
    y,
    type: 'bar' as const,
    orientation: 'h' as const,
    width: 0.12,
    marker: { color: token('--ink2') },
    name: t('search.middleEighty'),
    ...hover,
  }
  const thick = {
    x: props.lines.map(l => l.p75 - l.p25),
    base: props.lines.map(l => l.p25),
    y,
    type: 'bar' as const,
    orientation: 'h' as const,
    width: 0.46,
    marker: { color: token('--win'), line: { color: token('--line2'), width: 1 } },
    name: t('search.middleHalf'),
    ...hover,
  }
  const own = {
    x: props.lines.map(l => l.own),
    y,
    type: 'scatter' as const,
    mode: 'markers' as const,
    name: t('search.thisSet'),
    ...hover,
    marker: {
      size: 13,
      symbol: props.lines.map(l => (l.beyond ? 'diamond' : 'circle')),
      color: props.lines.map(l => token(l.beyond ? '--out' : '--ink')),
      line: { color: token('--ink'), width: 1.5 },
    },
  }
  return {
    traces: props.own ? [thin, thick, own] : [thin, thick],
    layout: {
      height: 60 + props.lines.length * 26,
      margin: { l: 300, r: 16, t: 8, b: 34 },
      barmode: 'overlay',
      showlegend: false,
      font: { size: 12.5 },
      xaxis: {
        range: [-6.4, 6.4],
        tickvals: [-1, 0, 1],
        ticktext: [t('search.quarter'), t('search.middle'), t('search.threeQuarters')],
        gridcolor: token('--line'),
        zeroline: true,
        zerolinecolor: token('--line2'),
      },
      yaxis: { autorange: 'reversed', automargin: false, tickfont: { size: 12 } },
    },
  }
}
const { failed } = usePlotly(host, { figure, on: () => [props.lines, props.night] })
</script>

<template>
  <figure class="chart">
    <figcaption>
      {{
        t('search.asFound', {
          what: own ? t('search.thisSetAgainstTheOthersOf') : t('search.theSetsOfThisModel'),
        })
      }}
      <span class="quiet">{{
        t('search.barMiddleHalfLineMiddle80', { what: own ? t('search.circleThisSetDiamondOutsideThe') : '' })
      }}</span>
    </figcaption>
    <div ref="host" role="img" :aria-label="lines.map(l => `${l.title}: ${l.words}`).join('. ')" />
    <p v-if="failed" class="quiet">{{ t('common.pictureNotLoaded') }}</p>
  </figure>
</template>

<style scoped>
.chart {
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
