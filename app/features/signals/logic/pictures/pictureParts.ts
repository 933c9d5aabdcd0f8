import type { SignalPictures } from '#core/signal'

/** Colours of the theme that a picture is drawn in. */
export interface Inks {
  readonly ink: string
  readonly ink2: string
  readonly accent: string
  readonly out: string
  readonly win: string
  readonly line: string
}

export interface Trace {
  readonly [key: string]: unknown
}
/** A picture: what it shows, and what is drawn. */
export interface Picture {
  readonly id: string
  readonly title: string
  readonly note: string
  readonly traces: readonly Trace[]
  readonly layout: Trace
}

export const line = (color: string, dash: string, width = 2) => ({ color, width, dash })
export const band = (x0: number, x1: number, fill: string) => ({
  type: 'rect',
  xref: 'x',
  yref: 'paper',
  x0,
  x1,
  y0: 0,
  y1: 1,
  fillcolor: fill,
  opacity: 0.5,
  line: { width: 0 },
  layer: 'below',
})
export const level = (y: number, color: string, dash: string) => ({
  type: 'line',
  xref: 'paper',
  x0: 0,
  x1: 1,
  y0: y,
  y1: y,
  line: { color, width: 1.5, dash },
})
export const KHZ = 1e-3

/** Recordings that are drawn over each other. */
export type Drawn = readonly {
  readonly p: SignalPictures
  readonly name: string
  readonly stroke: { readonly color: string }
}[]
