<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import type { Step } from '#core/sheet'
import { stepGraph } from '../logic/sheetGraph'

/** Which step needs which; a dashed line: may make it unnecessary. */
const props = defineProps<{ steps: readonly Step[] }>()
const graph = computed(() => stepGraph(props.steps))
const short = (title: string) => (title.length > 23 ? `${title.slice(0, 22)}\u2026` : title)
</script>

<template>
  <div class="scroll" tabindex="0" role="img" :aria-label="t('sheet.dependenciesOfTheStepsTheTable')">
    <svg
      v-if="graph"
      :width="graph.width"
      :height="graph.height"
      :viewBox="`0 0 ${graph.width} ${graph.height}`"
    >
      <defs>
        <marker id="tip" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" orient="auto">
          <path d="M0 0L8 4L0 8z" fill="var(--ink2)" />
        </marker>
      </defs>
      <path
        v-for="e in graph.edges"
        :key="e.from + e.to"
        :d="e.path"
        class="edge"
        :class="{ skips: e.skips }"
        marker-end="url(#tip)"
      />
      <g v-for="n in graph.nodes" :key="n.id">
        <rect :x="n.x" :y="n.y" :width="n.width" :height="n.height" rx="4" />
        <text :x="n.x + 9" :y="n.y + 18" class="id">{{ n.id }}</text>
        <text :x="n.x + 9" :y="n.y + 36">
          {{ short(n.title) }}
          <title>{{ n.title }}</title>
        </text>
      </g>
    </svg>
    <p v-else class="care">
      {{ t('sheet.loopNoPicture') }}
    </p>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  padding: 4px 0;
}
rect {
  fill: var(--sheet);
  stroke: var(--line2);
  stroke-width: 1.25;
}
text {
  font-size: 13px;
  fill: var(--ink);
}
.id {
  font: 12px var(--figures);
  fill: var(--ink2);
}
.edge {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 1.3;
}
.edge.skips {
  stroke-dasharray: 5 4;
}
</style>
