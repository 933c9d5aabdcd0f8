<script setup lang="ts">
import { t } from '#shared/i18n'
import Konva from 'konva'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Arrow, Attachment } from '#shared/attachment'
import { arrowPoints, fitted } from '../../logic/photoPlace'

/**
 * The picture with its arrows, drawn on by Konva. Arrows are kept as ratios of the picture as it was taken.
 */
const props = defineProps<{ photo: Attachment }>()
const emit = defineEmits<{ arrow: [arrow: Arrow] }>()
const host = ref<HTMLDivElement | null>(null)
const MAX_HEIGHT_SHARE = 0.6
/** A slip of the finger is no arrow [of the picture]. */
const MIN_ARROW = 0.015
let stage: Konva.Stage | null = null
let image: HTMLImageElement | null = null

function draw() {
  if (!host.value || !image) return
  const { photo } = props
  const frame = fitted(
    { width: photo.width!, height: photo.height!, rotation: photo.rotation },
    host.value.clientWidth,
    innerHeight * MAX_HEIGHT_SHARE,
  )
  stage?.destroy()
  stage = new Konva.Stage({ container: host.value, width: frame.stageWidth, height: frame.stageHeight })
  const layer = new Konva.Layer()
  const group = new Konva.Group({
    x: frame.stageWidth / 2,
    y: frame.stageHeight / 2,
    offsetX: frame.width / 2,
    offsetY: frame.height / 2,
    rotation: photo.rotation,
  })
  group.add(new Konva.Image({ image, width: frame.width, height: frame.height }))
  for (const arrow of photo.arrows) group.add(shape(arrow, frame))
  layer.add(group)
  stage.add(layer)
  listen(stage, group, frame)
}

function shape(arrow: Arrow, frame: { width: number; height: number }) {
  return new Konva.Arrow({
    points: arrowPoints(arrow, frame),
    stroke: '#c01010',
    fill: '#c01010',
    strokeWidth: 5,
    pointerLength: 18,
    pointerWidth: 18,
    shadowColor: '#fff',
    shadowBlur: 4,
    shadowOpacity: 1,
  })
}

function listen(on: Konva.Stage, group: Konva.Group, frame: { width: number; height: number }) {
  let from: { x: number; y: number } | null = null
  let ghost: Konva.Arrow | null = null
  const at = () => group.getRelativePointerPosition()
  on.on('pointerdown', () => {
    from = at()
  })
  on.on('pointermove', () => {
    const to = at()
    if (!from || !to) return
    ghost?.destroy()
    ghost = shape(
      {
        x1: from.x / frame.width,
        y1: from.y / frame.height,
        x2: to.x / frame.width,
        y2: to.y / frame.height,
      },
      frame,
    )
    group.add(ghost)
  })
  on.on('pointerup pointerleave', () => {
    const to = at()
    if (from && to) {
      const ratio = (v: number, of: number) => Math.max(0, Math.min(1, v / of))
      const arrow = {
        x1: ratio(from.x, frame.width),
        y1: ratio(from.y, frame.height),
        x2: ratio(to.x, frame.width),
        y2: ratio(to.y, frame.height),
      }
      if (Math.hypot(arrow.x2 - arrow.x1, arrow.y2 - arrow.y1) > MIN_ARROW) emit('arrow', arrow)
    }
    ghost?.destroy()
    from = ghost = null
  })
}

function load() {
  image = new Image()
  image.onload = draw
  image.src = `/api/attachments/${props.photo.id}`
}
onMounted(load)
watch(() => props.photo.id, load)
watch(() => props.photo.version, draw)
onBeforeUnmount(() => stage?.destroy())
</script>

<template>
  <div
    ref="host"
    class="canvas"
    role="img"
    :aria-label="t('job.arrows', { name: photo.name || 'photo', count: photo.arrows.length })"
  />
</template>

<style scoped>
.canvas {
  min-height: 200px;
  width: 100%;
  cursor: crosshair;
  touch-action: none;
  display: flex;
  justify-content: center;
}
</style>
