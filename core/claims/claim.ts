import type { Mode } from '../rules'

/**
 * What an owner can have put a number to. Errors are signed: "100 Hz low" is -100; who does not know the side
 * says "off by".
 */
export type ClaimQuantity =
  | 'powerW'
  | 'lowPowerW'
  | 'pepW'
  | 'panelPowerW'
  | 'frequencyErrorHz'
  | 'frequencyOffHz'
  | 'deviationHz'
  | 'depthRatio'
  | 'swr'
  | 'supplyA'
  | 'plateA'
  | 'sensitivityV'

/** How it was said: "about 3 W", "under 3 W", "over 3 W". */
export type ClaimKind = 'about' | 'under' | 'over'

/** A complaint with a number in it, so that a measurement can settle it. */
export interface Claim {
  readonly id: string
  readonly quantity: ClaimQuantity
  readonly kind: ClaimKind
  /** [SI] */
  readonly value: number
  /** the owner's meter in the owner's words; empty = none was named */
  readonly meter: string
  /** only a row of this mode settles it; null or none = not said */
  readonly mode?: Mode | null
  /** only a row of this channel settles it; null or none = not said */
  readonly channel?: number | null
}

export interface ClaimQuantityInfo {
  readonly label: string
  readonly shownUnit: string
  readonly perSi: number
  readonly signed: boolean
  readonly max: number
}

export const CLAIM_QUANTITIES: Readonly<Record<ClaimQuantity, ClaimQuantityInfo>> = {
  powerW: { label: 'power, high', shownUnit: 'W', perSi: 1, signed: false, max: 2000 },
  lowPowerW: { label: 'power, low', shownUnit: 'W', perSi: 1, signed: false, max: 2000 },
  pepW: { label: 'PEP', shownUnit: 'W', perSi: 1, signed: false, max: 5000 },
  panelPowerW: {
    label: "reading of the set's own meter",
    shownUnit: 'W',
    perSi: 1,
    signed: false,
    max: 2000,
  },
  frequencyErrorHz: {
    label: 'frequency error (− = low)',
    shownUnit: 'Hz',
    perSi: 1,
    signed: true,
    max: 1e6,
  },
  frequencyOffHz: {
    label: 'frequency error, sign unknown',
    shownUnit: 'Hz',
    perSi: 1,
    signed: false,
    max: 1e6,
  },
  deviationHz: { label: 'deviation', shownUnit: 'kHz', perSi: 1e-3, signed: false, max: 1e5 },
  depthRatio: { label: 'AM depth', shownUnit: '%', perSi: 100, signed: false, max: 5 },
  swr: { label: 'SWR', shownUnit: ': 1', perSi: 1, signed: false, max: 100 },
  supplyA: { label: 'supply current, keyed', shownUnit: 'A', perSi: 1, signed: false, max: 100 },
  plateA: { label: 'plate current', shownUnit: 'mA', perSi: 1000, signed: false, max: 5 },
  sensitivityV: { label: 'sensitivity', shownUnit: '\u00b5V', perSi: 1e6, signed: false, max: 0.1 },
}

export const CLAIM_QUANTITY_NAMES = Object.keys(CLAIM_QUANTITIES) as ClaimQuantity[]
