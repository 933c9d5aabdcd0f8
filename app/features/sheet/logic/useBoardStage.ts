import { translated } from '#shared/i18n'
import type KonvaType from 'konva'
import { onBeforeUnmount, onMounted, watch, type Ref } from 'vue'
import type { BoardDrawing, BoardPosition } from '#core/sheet'
import type { BoardPin } from './boardPins'

/** What the stage shows, and what it tells. */
export interface BoardScene {
  readonly pins: readonly BoardPin[]
  readonly wanted: readonly string[]
  readonly chosen: string | null
  readonly pictureUrl: string | null
  readonly drawing: BoardDrawing | null
  readonly aspect: number
  /** pins can be dragged */
  readonly editable: boolean
  readonly view: { readonly scale: number; readonly x: number; readonly y: number }
}
export interface BoardHands {
  readonly choose: (id: string) => void
  readonly move: (id: string, to: Pick<BoardPosition, 'x' | 'y'>) => void
  readonly zoomed: (scale: number, x: number, y: number) => void
}

const PIN_PX = 13
const MAX_SCALE = 6

/**
 * A board that can be dragged, zoomed by wheel or pinch, with pins to be pressed and, while it is edited,
 * moved. Drawn by Konva.
 */
export function useBoardStage(host: Ref<HTMLElement | null>, scene: () => BoardScene, hands: BoardHands) {
  let Konva: typeof KonvaType | null = null
  let stage: KonvaType.Stage | null = null
  let picture: HTMLImageElement | null = null
  let gone = false
  /** of two fingers at the last movement [px]; 0 = none */
  let spread = 0
  const colour = (name: string) => getComputedStyle(host.value!).getPropertyValue(name).trim()
  const size = () => ({ width: host.value!.clientWidth, height: host.value!.clientWidth / scene().aspect })

  function draw() {
    if (!Konva || !host.value || host.value.clientWidth === 0) return
    const { width, height } = size()
    stage?.destroy()
    stage = new Konva.Stage({
      container: host.value as HTMLDivElement,
      width,
      height,
      draggable: scene().view.scale > 1,
    })
    const { scale, x, y } = scene().view
    stage.scale({ x: scale, y: scale })
    stage.position(held({ x: width / 2 - x * width * scale, y: height / 2 - y * height * scale }, scale))
    const layer = new Konva.Layer()
    layer.add(...board(Konva, width, height, scale))
    for (const pin of scene().pins) layer.add(drawnPin(Konva, pin, width, height, scale))
    stage.add(layer)
    stage.on('wheel', wheel)
    stage.on('touchmove', pinch)
    stage.on('touchend', () => (spread = 0))
    stage.on('dragend', e => e.target === stage && tellView())
  }

  function board(K: typeof KonvaType, width: number, height: number, scale: number) {
    const edge = new K.Rect({
      width,
      height,
      fill: colour('--sheet'),
      stroke: colour('--line2'),
      strokeWidth: 2,
      strokeScaleEnabled: false,
    })
    if (picture) return [edge, new K.Image({ image: picture, width, height })]
    const parts = (scene().drawing?.parts ?? []).flatMap(p => [
      new K.Rect({
        x: (p.x - p.width / 2) * width,
        y: (p.y - p.height / 2) * height,
        width: p.width * width,
        height: p.height * height,
        stroke: colour('--line2'),
        dash: [5, 3],
        cornerRadius: 3,
        strokeScaleEnabled: false,
      }),
      new K.Text({
        x: (p.x - p.width / 2) * width,
        y: p.y * height - 6 / scale,
        width: p.width * width,
        align: 'center',
        text: translated(p.label),
        fontSize: 12 / scale,
        fill: colour('--ink2'),
        fontFamily: 'Atkinson Hyperlegible Mono Variable',
        wrap: 'none',
      }),
    ])
    return [edge, ...parts]
  }

  function drawnPin(K: typeof KonvaType, pin: BoardPin, width: number, height: number, scale: number) {
    const marked = scene().wanted.includes(pin.id) || scene().chosen === pin.id
    const r = PIN_PX / scale
    const group = new K.Group({
      x: pin.position.x * width,
      y: pin.position.y * height,
      draggable: scene().editable,
    })
    const style = {
      fill: marked ? colour('--accent') : colour('--sheet'),
      stroke: marked ? colour('--accent') : colour('--ink2'),
      strokeWidth: 2 / scale,
    }
    const shape = () => {
      if (pin.kind === 'test-point') return new K.RegularPolygon({ sides: 3, radius: r, ...style })
      return pin.kind === 'core'
        ? new K.Rect({ x: -r * 0.8, y: -r * 0.8, width: r * 1.6, height: r * 1.6, ...style })
        : new K.Circle({ radius: r * 0.85, ...style })
    }
    group.add(shape())
    if (marked)
      group.add(new K.Circle({ radius: r * 1.5, stroke: colour('--accent'), strokeWidth: 2.5 / scale }))
    group.add(
      new K.Text({
        x: -60 / scale,
        width: 120 / scale,
        y: r * 1.6,
        align: 'center',
        text: pin.id,
        fontSize: 13 / scale,
        fontStyle: marked ? 'bold' : 'normal',
        fill: colour('--ink'),
        stroke: colour('--sheet'),
        strokeWidth: 3 / scale,
        fillAfterStrokeEnabled: true,
        fontFamily: 'Atkinson Hyperlegible Mono Variable',
      }),
    )
    // A finger is wider than the mark.
    group.add(new K.Circle({ radius: 22 / scale, fill: 'transparent' }))
    group.on('click tap', () => hands.choose(pin.id))
    group.on('dragend', () =>
      hands.move(pin.id, { x: between(group.x() / width), y: between(group.y() / height) }),
    )
    return group
  }

  const between = (v: number) => Math.round(Math.max(0, Math.min(1, v)) * 1000) / 1000
  /** The board stays in the window. */
  function held(at: { x: number; y: number }, scale: number) {
    const { width, height } = size()
    return {
      x: Math.min(0, Math.max(width * (1 - scale), at.x)),
      y: Math.min(0, Math.max(height * (1 - scale), at.y)),
    }
  }
  function tellView() {
    if (!stage) return
    const { width, height } = size()
    const at = held(stage.position(), stage.scaleX())
    hands.zoomed(
      stage.scaleX(),
      (width / 2 - at.x) / (width * stage.scaleX()),
      (height / 2 - at.y) / (height * stage.scaleX()),
    )
  }
  function wheel(e: KonvaType.KonvaEventObject<WheelEvent>) {
    e.evt.preventDefault()
    const next = Math.max(1, Math.min(MAX_SCALE, scene().view.scale * (e.evt.deltaY < 0 ? 1.2 : 1 / 1.2)))
    hands.zoomed(next, scene().view.x, scene().view.y)
  }
  /** Two fingers: their distance is the scale. */
  function pinch(e: KonvaType.KonvaEventObject<TouchEvent>) {
    const [a, b] = [e.evt.touches[0], e.evt.touches[1]]
    if (!a || !b) return
    e.evt.preventDefault()
    stage?.stopDrag()
    const now = Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY)
    if (spread > 0)
      hands.zoomed(
        Math.max(1, Math.min(MAX_SCALE, (scene().view.scale * now) / spread)),
        scene().view.x,
        scene().view.y,
      )
    spread = now
  }
  function loadPicture() {
    const url = scene().pictureUrl
    picture = null
    if (!url) return draw()
    const image = new Image()
    image.onload = () => {
      if (scene().pictureUrl !== url) return
      picture = image
      draw()
    }
    image.onerror = draw
    image.src = url
  }

  onMounted(async () => {
    Konva = (await import('konva')).default
    if (gone) return
    loadPicture()
    watch(() => scene().pictureUrl, loadPicture)
    watch(scene, draw, { deep: true })
    const resized = new ResizeObserver(draw)
    resized.observe(host.value!)
    onGone = () => resized.disconnect()
  })
  let onGone = () => {}
  onBeforeUnmount(() => {
    gone = true
    onGone()
    stage?.destroy()
  })
}
