import type { EventBase } from './eventBase'

export const HEATS = ['cool', 'warm', 'hot'] as const
/** What is tested: each kind has tests of its own. */
export const PART_KINDS = ['transistor', 'mosfet', 'diode', 'valve', 'capacitor', 'crystal', 'other'] as const
export type PartKind = (typeof PART_KINDS)[number]
/** What a tester says of a part at DC. */
export const DC_RESULTS = ['good', 'short', 'open', 'leaky'] as const
/** What is read on a part, in SI units. */
export const PART_FIGURES = [
  'gate-threshold',
  'forward-drop',
  'cathode-current',
  'grid-current',
  'capacitance',
  'series-resistance',
  'crystal-frequency',
] as const
export type PartFigureId = (typeof PART_FIGURES)[number]
/** One figure with what its type is sold with; null = that end is not known. */
export interface PartFigure {
  readonly figure: PartFigureId
  readonly value: number
  readonly low: number | null
  readonly high: number | null
}

/** A part on the tester, and an RF part in a healthy test set; null or absent = not tested. */
export interface PartTested extends EventBase {
  readonly kind: 'part-tested'
  readonly part: string
  /** absent in older records: a transistor */
  readonly partKind?: PartKind
  readonly boughtAt: string
  /** date code or batch of the seller; absent = not noted */
  readonly lot?: string
  readonly dcResult?: (typeof DC_RESULTS)[number] | null
  readonly figures?: readonly PartFigure[]
  readonly dcGain: number | null
  readonly rfPowerW: number | null
  /** what a good part makes in the same test set [W] */
  readonly rfReferenceW: number | null
  /** gain that the data sheet gives for this type, as it was typed; absent or null = not given */
  readonly gainFrom?: number | null
  readonly gainTo?: number | null
  /**
   * the set in which it was tried, the meter that read its power, the scale of that meter; absent = not noted
   */
  readonly testSet?: string
  readonly meter?: string
  readonly scale?: string
  /** supply of the test set while keyed, and for how long; absent or null = not noted */
  readonly supplyV?: number | null
  readonly supplyA?: number | null
  readonly keyedS?: number | null
  readonly fallsWhileKeyed: boolean | null
  readonly heat: (typeof HEATS)[number] | null
  readonly text: string
}
