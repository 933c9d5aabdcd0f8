import type { BoardSide } from './modelSheet'

/** A part drawn on a board, ratios of its width and height, by its centre. */
export interface DrawnPart {
  readonly kind: 'chip' | 'can' | 'crystal' | 'relay' | 'socket' | 'sink' | 'slot'
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  readonly label: string
}

/** A board as a drawing: its proportions and what lies on it. */
export interface BoardDrawing {
  readonly id: string
  readonly side: BoardSide
  /** width over height */
  readonly aspect: number
  readonly parts: readonly DrawnPart[]
}

const part = (
  kind: DrawnPart['kind'],
  label: string,
  x: number,
  y: number,
  width: number,
  height: number,
): DrawnPart => ({ kind, label, x, y, width, height })

/** Drawings that ship, of the invented sets; a photo of one's own takes their place. */
export const BOARD_DRAWINGS: readonly BoardDrawing[] = [
  {
    id: 'osmund-27f',
    side: 'parts',
    aspect: 1.38,
    parts: [
      part('chip', 'IC2', 0.19, 0.19, 0.26, 0.2),
      part('crystal', '10.240', 0.33, 0.34, 0.1, 0.07),
      part('crystal', 'XT', 0.78, 0.06, 0.1, 0.06),
      part('sink', 'heat sink', 0.66, 0.7, 0.22, 0.1),
      part('socket', 'antenna', 0.95, 0.68, 0.09, 0.1),
      part('slot', 'shield plate', 0.38, 0.41, 0.16, 0.04),
    ],
  },
  {
    id: 'larkfield-lx8',
    side: 'parts',
    aspect: 1.38,
    parts: [
      part('chip', 'PLL', 0.36, 0.26, 0.12, 0.12),
      part('can', 'VCO', 0.5, 0.14, 0.1, 0.12),
      part('sink', 'finals', 0.95, 0.48, 0.06, 0.4),
      part('crystal', '10.240', 0.22, 0.14, 0.1, 0.06),
      part('slot', 'carrier board', 0.1, 0.4, 0.14, 0.66),
      part('socket', 'antenna', 0.95, 0.84, 0.09, 0.12),
    ],
  },
]

export const drawingOf = (id: string | null): BoardDrawing | null =>
  BOARD_DRAWINGS.find(d => d.id === id) ?? null

/** Proportions of a board that nobody has drawn. */
export const PLAIN_ASPECT = 1.38
