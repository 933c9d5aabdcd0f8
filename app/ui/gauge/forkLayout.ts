import { gaugeScale, type GaugeScale, type GaugeValues } from '#shared/words/gaugeScale'

/** Room that a label needs beside another [px of the drawing]. */
const LABEL_PX = 130
const AIM_PX = 110
/** Nearer to an end than this a label grows inwards [px of the drawing]. */
const END_PX = 60

interface Anchored {
  readonly x: number
  readonly anchor: 'start' | 'middle' | 'end'
}
/** Where everything of a fork gauge stands across; lengths in px of the drawing. */
export interface ForkLayout {
  readonly width: number
  /** null = nothing to show */
  readonly scale: GaugeScale | null
  /** ticks carry the digits of their spacing, not those of the instrument */
  readonly tickDecimals: number
  readonly x: (value: number) => number
  /** labels keep inside the drawing */
  readonly anchored: (value: number) => Anchored
  /** open to a side without a limit; null = no limits */
  readonly window: { readonly x: number; readonly width: number } | null
  /** limits that there are */
  readonly edges: readonly number[]
  /** the label of the value as found would run into that of the present one */
  readonly labelClash: boolean
  readonly aimClash: boolean
}

export function forkLayout(values: GaugeValues, compact: boolean): ForkLayout {
  const width = compact ? 240 : 664
  const pad = compact ? 8 : 12
  const scale = gaugeScale(values)
  const { min, max, ticks } = scale ?? { min: 0, max: 1, ticks: [] }
  const x = (value: number) =>
    pad + Math.max(-0.02, Math.min(1.02, (value - min) / (max - min))) * (width - 2 * pad)
  const { low, high, aim, now, asFound } = values
  const left = x(low ?? min)
  const near = (a: number | null, b: number | null, px: number) =>
    a !== null && b !== null && Math.abs(x(a) - x(b)) < px
  return {
    width,
    scale,
    tickDecimals: decimalsOf(ticks),
    x,
    anchored: value => anchoredAt(x(value), width),
    window: low === null && high === null ? null : { x: left, width: Math.max(1.5, x(high ?? max) - left) },
    edges: [low, high].flatMap(limit => (limit === null ? [] : [x(limit)])),
    labelClash: near(now, asFound, LABEL_PX),
    aimClash: near(now, aim, AIM_PX) || near(asFound, aim, AIM_PX),
  }
}

function decimalsOf([a = 0, b = 1]: readonly number[]): number {
  return Math.max(0, Math.min(4, -Math.floor(Math.log10(b - a) + 1e-9)))
}
function anchoredAt(at: number, width: number): Anchored {
  if (at < END_PX) return { x: Math.max(2, at - 8), anchor: 'start' }
  return at > width - END_PX ? { x: Math.min(width - 2, at + 8), anchor: 'end' } : { x: at, anchor: 'middle' }
}
