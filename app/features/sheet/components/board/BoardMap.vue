<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { computed } from 'vue'
import { PLAIN_ASPECT, drawingOf, type ModelSheet } from '#core/sheet'
import { boardPins, pictureUrl, sideOf } from '../../logic/boardPins'

/** Where to put the tool: the board with its adjusters, those of this step marked. A press opens it large. */
const props = defineProps<{ sheet: ModelSheet; wanted: readonly string[] }>()
const side = computed(() => sideOf(props.sheet, props.wanted))
const pins = computed(() => boardPins(props.sheet, side.value))
const picture = computed(() => props.sheet.boards?.find(b => b.side === side.value) ?? null)
const drawing = computed(() => drawingOf(picture.value?.drawing ?? null))
const W = 238
const H = W / PLAIN_ASPECT
const x = (ratio: number) => 12 + ratio * (W - 24)
const y = (ratio: number) => 10 + ratio * (H - 20)
const isWanted = (id: string) => props.wanted.includes(id)
</script>

<template>
  <svg
    v-if="pins.length > 0"
    class="board"
    :viewBox="`0 0 ${W} ${H}`"
    role="img"
    :aria-label="
      wanted.length ? t('sheet.boardMarked', { list: wanted.join(', ') }) : t('sheet.boardPicture')
    "
  >
    <image
      v-if="picture?.pictureId"
      :href="pictureUrl(picture.pictureId)"
      :width="W"
      :height="H"
      preserveAspectRatio="none"
    />
    <rect
      x="4"
      y="4"
      :width="W - 8"
      :height="H - 8"
      rx="3"
      fill="none"
      stroke="var(--line2)"
      stroke-width="1.500"
    />
    <template v-if="drawing && !picture?.pictureId">
      <g v-for="d in drawing.parts.filter(p => p.kind === 'chip')" :key="d.label" class="part">
        <rect
          :x="x(d.x - d.width / 2)"
          :y="y(d.y - d.height / 2)"
          :width="d.width * (W - 24)"
          :height="d.height * (H - 20)"
          rx="2"
        />
        <text :x="x(d.x)" :y="y(d.y) + 3" text-anchor="middle">{{ translated(d.label) }}</text>
      </g>
    </template>
    <g v-for="p in pins" :key="p.id">
      <rect
        v-if="p.kind === 'core'"
        :x="x(p.position.x) - 9"
        :y="y(p.position.y) - 9"
        width="18"
        height="18"
        class="pin"
      />
      <path
        v-else-if="p.kind === 'test-point'"
        :d="`M${x(p.position.x)} ${y(p.position.y) - 8}l8 14h-16z`"
        class="pin"
      />
      <circle v-else :cx="x(p.position.x)" :cy="y(p.position.y)" r="8.500" class="pin" />
      <template v-if="isWanted(p.id)">
        <circle
          :cx="x(p.position.x)"
          :cy="y(p.position.y)"
          r="12"
          fill="none"
          stroke="var(--accent)"
          stroke-width="2.500"
        />
        <circle :cx="x(p.position.x)" :cy="y(p.position.y)" r="5.500" fill="var(--accent)" />
      </template>
      <text
        :x="x(p.position.x) + (p.kind === 'preset' ? 17 : 0)"
        :y="y(p.position.y) + (p.kind === 'preset' ? 4 : 24)"
        :text-anchor="p.kind === 'preset' ? 'start' : 'middle'"
        :class="{ strong: isWanted(p.id) }"
      >
        {{ p.id }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.board {
  display: block;
  width: 100%;
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 4px;
  font: 10.5px var(--figures);
}
.pin {
  fill: var(--sheet);
  fill-opacity: 0.75;
  stroke: var(--line2);
  stroke-width: 1.5;
}
.part rect {
  fill: none;
  stroke: var(--line2);
  stroke-width: 1;
  stroke-dasharray: 3 2;
}
.part text {
  font-size: 8.5px;
}
text {
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 2.5px;
}
text.strong {
  fill: var(--ink);
  font-weight: 700;
}
</style>
