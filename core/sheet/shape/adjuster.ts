import type { Mode } from '../../rules'

/** What an adjuster is in the circuit; decides what goes stale when it is turned. */
export const ADJUSTER_ROLES = [
  'reference',
  'tx-crystal',
  'rx-crystal',
  'vco-coil',
  'coil',
  'carrier-preset',
  'modulation-preset',
  'trap',
  'low-power-preset',
  'deviation-preset',
  'panel-preset',
  's-meter-preset',
  'carrier-oscillator',
  'mode-offset',
  'bias',
  'balance',
  'alc',
  'power-control',
  'tank',
  'preselector',
  'neutralising',
] as const
export type AdjusterRole = (typeof ADJUSTER_ROLES)[number]

export const ADJUSTER_KINDS = ['trimmer', 'core', 'preset', 'fixed-part', 'menu-value', 'control'] as const
export type AdjusterKind = (typeof ADJUSTER_KINDS)[number]

export const RAISED_BY = ['clockwise', 'anticlockwise', 'inwards', 'outwards', 'up', 'down'] as const

/**
 * assumed-clock = the number is the frequency that the set takes its clock to be, and everything it makes
 * follows inversely; offset = a number of hertz, to which the offset that was read is added
 */
export const MENU_LAWS = ['assumed-clock', 'offset'] as const
export type MenuLaw = (typeof MENU_LAWS)[number]

export interface Adjuster {
  readonly designator: string
  /** fixed-part = a place where an adjuster could be and is not; menu-value = a number in a service menu */
  readonly kind: AdjusterKind
  readonly role: AdjusterRole
  readonly name: string
  readonly moves: string
  readonly where: string
  readonly turn: string
  readonly tool: string
  readonly caution: string | null
  /** which way raises what it acts on, when that is known for certain; the advice of the run turns by it */
  readonly raisedBy?: (typeof RAISED_BY)[number]
  /** what a menu value stands for, where that is known: the next one is then reckoned, not tried */
  readonly law?: MenuLaw
  /** modes that it acts on, where each has its own; no value = all */
  readonly modes?: readonly Mode[]
  readonly board: BoardPosition
}

export const BOARD_SIDES = ['parts', 'solder'] as const
export type BoardSide = (typeof BOARD_SIDES)[number]

/** Centre on the board map, ratios of its width and height; no side = the parts side. */
export interface BoardPosition {
  readonly x: number
  readonly y: number
  readonly side?: BoardSide
}

/** Where a probe goes, and what it should read there. */
export interface TestPoint {
  readonly id: string
  readonly name: string
  readonly where: string
  readonly expected: string
  readonly caution: string | null
  readonly board: BoardPosition
}

/**
 * A picture of one side of the board: a drawing that ships with the application, or a photo kept with the
 * sheet.
 */
export interface BoardPicture {
  readonly side: BoardSide
  readonly drawing: string | null
  /** of a kept photo */
  readonly pictureId: string | null
}
