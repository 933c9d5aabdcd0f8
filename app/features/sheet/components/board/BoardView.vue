<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref, watch } from 'vue'
import { PLAIN_ASPECT, drawingOf, type BoardPosition, type BoardSide, type ModelSheet } from '#core/sheet'
import BoardPins from './BoardPins.vue'
import { useBoardStage } from '../../logic/useBoardStage'
import { SIDE_WORDS, boardPins, boardSides, pictureUrl, showing, sideOf } from '../../logic/boardPins'

/** The board large: both sides, zoom, every pin as a button beside it so that keys reach it too. */
const props = withDefaults(
  defineProps<{ sheet: ModelSheet; wanted: readonly string[]; editable?: boolean }>(),
  { editable: false },
)
const emit = defineEmits<{ move: [id: string, to: BoardPosition]; choose: [id: string] }>()
const STEP = 0.01
const side = ref<BoardSide>(sideOf(props.sheet, props.wanted))
const chosen = ref<string | null>(props.wanted[0] ?? null)
const host = ref<HTMLElement | null>(null)
const pins = computed(() => boardPins(props.sheet, side.value))
const picture = computed(() => props.sheet.boards?.find(b => b.side === side.value) ?? null)
const view = ref(showing(pins.value, props.wanted))
const pin = computed(() => pins.value.find(p => p.id === chosen.value) ?? null)
const about = computed(
  () =>
    props.sheet.adjusters.find(a => a.designator === chosen.value) ??
    props.sheet.testPoints?.find(t => t.id === chosen.value) ??
    null,
)
watch(
  () => props.wanted,
  wanted => {
    side.value = sideOf(props.sheet, wanted)
    chosen.value = wanted[0] ?? null
    view.value = showing(pins.value, wanted)
  },
)
const sides = computed(() => (props.editable ? (['parts', 'solder'] as const) : boardSides(props.sheet)))

function choose(id: string) {
  chosen.value = id
  emit('choose', id)
}
function zoom(by: number) {
  const at = pin.value?.position ?? view.value
  view.value = { scale: Math.max(1, Math.min(6, view.value.scale * by)), x: at.x, y: at.y }
}
/** Arrow keys move the pin that is chosen while the board is edited. */
function key(e: KeyboardEvent) {
  const by = (
    { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] } as Record<
      string,
      [number, number]
    >
  )[e.key]
  if (!by || !props.editable || !pin.value) return
  e.preventDefault()
  e.stopPropagation()
  const hold = (v: number) => Math.round(Math.max(0, Math.min(1, v)) * 1000) / 1000
  emit('move', pin.value.id, {
    ...pin.value.position,
    x: hold(pin.value.position.x + by[0]),
    y: hold(pin.value.position.y + by[1]),
  })
}
useBoardStage(
  host,
  () => ({
    pins: pins.value,
    wanted: props.wanted,
    chosen: chosen.value,
    pictureUrl: picture.value?.pictureId ? pictureUrl(picture.value.pictureId) : null,
    drawing: drawingOf(picture.value?.drawing ?? null),
    aspect: drawingOf(picture.value?.drawing ?? null)?.aspect ?? PLAIN_ASPECT,
    editable: props.editable,
    view: view.value,
  }),
  {
    choose,
    move: (id, to) => emit('move', id, { ...to, ...(side.value === 'solder' ? { side: side.value } : {}) }),
    zoomed: (scale, x, y) => (view.value = { scale, x, y }),
  },
)
</script>

<template>
  <div class="view" @keydown="key">
    <div class="main">
      <div class="bar no-print">
        <v-btn
          v-for="s in sides"
          :key="s"
          height="44"
          :aria-pressed="side === s"
          :class="{ pressed: side === s }"
          @click="side = s"
          >{{ t(SIDE_WORDS[s]) }}</v-btn
        >
        <span class="space" />
        <v-btn height="44" :aria-label="t('sheet.larger')" @click="zoom(1.4)">{{
          t('sheet.largerTitle')
        }}</v-btn><v-btn height="44" :aria-label="t('sheet.smaller')" @click="zoom(1 / 1.4)">{{
          t('sheet.smallerTitle')
        }}</v-btn
        ><v-btn height="44" @click="view = { scale: 1, x: 0.5, y: 0.5 }">{{ t('sheet.wholeBoard') }}</v-btn>
      </div>
      <div
        ref="host"
        class="stage"
        role="img"
        :aria-label="
          t('sheet.of', {
            side: t(SIDE_WORDS[side]),
            model: sheet.model,
            what: pin ? t('sheet.marked', { id: pin.id }) : '',
          })
        "
      />
      <p v-if="about" class="about">
        <b class="fig">{{ chosen }}</b> {{ about.name }}: {{ about.where
        }}<span v-if="about.caution" class="quiet"><br />{{ about.caution }}</span>
      </p>
      <p v-else-if="pins.length === 0" class="quiet about">
        {{ t('sheet.nothingPlacedOnTheYet', { side: t(SIDE_WORDS[side]) }) }}
      </p>
      <slot :side="side" />
    </div>
    <BoardPins :pins="pins" :wanted="wanted" :chosen="chosen" @choose="choose" />
  </div>
</template>

<style scoped>
.view {
  display: grid;
  grid-template-columns: minmax(0, 720px) minmax(200px, 1fr);
  gap: 14px;
}
.bar {
  display: flex;
  gap: 8px;
  margin-bottom: 8px;
  flex-wrap: wrap;
}
.space {
  flex: 1;
}
.pressed {
  background: var(--inbg);
}
.main {
  max-width: 720px;
}
.stage {
  border: 1px solid var(--line2);
  border-radius: 4px;
  overflow: hidden;
  touch-action: none;
  min-height: 180px;
}
.about {
  margin: 8px 0 0;
  font-size: 15px;
}
@media (max-width: 800px) {
  .view {
    grid-template-columns: 1fr;
  }
}
</style>
