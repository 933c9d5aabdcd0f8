import { CoreError } from '../errors'

/** How a quantity is shown: the unit it is read in at the bench and the factor from SI. */
export interface QuantityInfo {
  readonly label: string
  readonly symbol: string
  readonly siUnit: 'Hz' | 'W' | 'V' | 'A' | 's' | 'ratio' | 'dB' | 'S' | 'code'
  readonly shownUnit: string
  /** shown value = SI value x perSi */
  readonly perSi: number
  /** smallest SI value that can occur; typed readings below it are refused */
  readonly min: number
  /** largest SI value that a bench of this kind can meet; typed readings above it are refused */
  readonly max: number
  /** what the set and the bench have to provide before there is anything to read; see {@link Need} */
  readonly needs: readonly Need[]
  /**
   * a reading beyond this end of the range is the noise floor of the instrument: kept as a bound, not refused
   */
  readonly floor?: 'min' | 'max'
}

/**
 * rf = a signal at the antenna socket; key = transmitter on, with or without a signal; tone = audio drive;
 * generator = RF at the antenna socket.
 */
export const NEEDS = ['rf', 'key', 'tone', 'generator'] as const
export type Need = (typeof NEEDS)[number]

/**
 * Every quantity that a reading can carry. Ranges: the widest that a bench of this kind meets (general trade
 * knowledge).
 */
export const QUANTITIES = {
  carrierHz: {
    label: 'Transmit frequency',
    symbol: 'f',
    siUnit: 'Hz',
    shownUnit: 'MHz',
    perSi: 1e-6,
    min: 1e5,
    max: 3e9,
    needs: ['rf'],
  },
  referenceHz: {
    label: 'Reference frequency',
    symbol: 'f ref',
    siUnit: 'Hz',
    shownUnit: 'MHz',
    perSi: 1e-6,
    min: 1e5,
    max: 1e8,
    needs: [],
  },
  powerW: {
    label: 'Power, average',
    symbol: 'P',
    siUnit: 'W',
    shownUnit: 'W',
    perSi: 1,
    min: 0,
    max: 2000,
    needs: ['rf'],
  },
  pepW: {
    label: 'PEP',
    symbol: 'PEP',
    siUnit: 'W',
    shownUnit: 'W',
    perSi: 1,
    min: 0,
    max: 5000,
    needs: ['rf'],
  },
  panelPowerW: {
    label: 'Panel RF meter',
    symbol: 'P panel',
    siUnit: 'W',
    shownUnit: 'W',
    perSi: 1,
    min: 0,
    max: 2000,
    needs: ['rf'],
  },
  deviationPositiveHz: {
    label: 'Deviation, positive',
    symbol: 'D+',
    siUnit: 'Hz',
    shownUnit: 'kHz',
    perSi: 1e-3,
    min: 0,
    max: 1e5,
    needs: ['rf'],
  },
  deviationNegativeHz: {
    label: 'Deviation, negative',
    symbol: 'D\u2212',
    siUnit: 'Hz',
    shownUnit: 'kHz',
    perSi: 1e-3,
    min: 0,
    max: 1e5,
    needs: ['rf'],
  },
  depthPositiveRatio: {
    label: 'AM positive peak',
    symbol: 'm+',
    siUnit: 'ratio',
    shownUnit: '%',
    perSi: 100,
    min: 0,
    max: 5,
    needs: ['rf', 'tone'],
  },
  depthNegativeRatio: {
    label: 'AM negative peak',
    symbol: 'm\u2212',
    siUnit: 'ratio',
    shownUnit: '%',
    perSi: 100,
    min: 0,
    max: 5,
    needs: ['rf', 'tone'],
  },
  harmonicDbc: {
    label: 'Second harmonic',
    symbol: 'H2',
    siUnit: 'dB',
    shownUnit: 'dBc',
    perSi: 1,
    min: -150,
    max: 20,
    needs: ['rf'],
    floor: 'min',
  },
  adjacentDbc: {
    label: 'Adjacent channel',
    symbol: 'ACP',
    siUnit: 'dB',
    shownUnit: 'dBc',
    perSi: 1,
    min: -150,
    max: 20,
    needs: ['rf'],
    floor: 'min',
  },
  vcoV: {
    label: 'VCO control voltage',
    symbol: 'V VCO',
    siUnit: 'V',
    shownUnit: 'V',
    perSi: 1,
    min: 0,
    max: 30,
    needs: [],
  },
  sinadDb: {
    label: 'SINAD',
    symbol: 'SINAD',
    siUnit: 'dB',
    shownUnit: 'dB',
    perSi: 1,
    min: 0,
    max: 80,
    needs: ['generator'],
  },
  audibleV: {
    label: 'Audible threshold',
    symbol: 'S aud',
    siUnit: 'V',
    shownUnit: '\u00b5V',
    perSi: 1e6,
    min: 0,
    max: 0.1,
    needs: ['generator'],
  },
  sMeter: {
    label: 'S-meter',
    symbol: 'S',
    siUnit: 'S',
    shownUnit: 'S-units',
    perSi: 1,
    min: 0,
    max: 20,
    needs: ['generator'],
  },
  imd3Db: {
    label: 'IMD3 below one tone',
    symbol: 'IMD3',
    siUnit: 'dB',
    shownUnit: 'dB',
    perSi: 1,
    min: 0,
    max: 100,
    needs: ['rf', 'tone'],
    floor: 'max',
  },
  carrierLeakDb: {
    label: 'Carrier suppression',
    symbol: 'leak',
    siUnit: 'dB',
    shownUnit: 'dB',
    perSi: 1,
    min: 0,
    max: 120,
    needs: ['key'],
    floor: 'max',
  },
  stageIdleA: {
    label: 'Idle current of the output stage',
    symbol: 'Iq',
    siUnit: 'A',
    shownUnit: 'mA',
    perSi: 1000,
    min: 0,
    max: 10,
    needs: ['key'],
  },
  plateA: {
    label: 'Plate current',
    symbol: 'Ia',
    siUnit: 'A',
    shownUnit: 'mA',
    perSi: 1000,
    min: 0,
    max: 5,
    needs: ['key'],
  },
  gateV: {
    label: 'Gate voltage',
    symbol: 'Vg',
    siUnit: 'V',
    shownUnit: 'V',
    perSi: 1,
    min: 0,
    max: 30,
    needs: [],
  },
  probeV: {
    label: 'RF probe',
    symbol: 'V probe',
    siUnit: 'V',
    shownUnit: 'V',
    perSi: 1,
    min: 0,
    max: 300,
    needs: ['key'],
  },
  agcV: {
    label: 'AGC voltage',
    symbol: 'V AGC',
    siUnit: 'V',
    shownUnit: 'V',
    perSi: 1,
    min: 0,
    max: 30,
    needs: [],
  },
  swr: {
    label: 'SWR',
    symbol: 'SWR',
    siUnit: 'ratio',
    shownUnit: ': 1',
    perSi: 1,
    min: 1,
    max: 100,
    needs: ['rf'],
  },
  menuCode: {
    label: 'Menu value',
    symbol: 'code',
    siUnit: 'code',
    shownUnit: '',
    perSi: 1,
    min: -1e9,
    max: 1e9,
    needs: [],
  },
  supplyV: {
    label: 'Supply',
    symbol: 'V',
    siUnit: 'V',
    shownUnit: 'V',
    perSi: 1,
    min: 0,
    max: 1000,
    needs: ['key'],
  },
  supplyA: {
    label: 'Supply current',
    symbol: 'I',
    siUnit: 'A',
    shownUnit: 'A',
    perSi: 1,
    min: 0,
    max: 100,
    needs: ['key'],
  },
  sensitivityV: {
    label: 'Sensitivity',
    symbol: 'S min',
    siUnit: 'V',
    shownUnit: '\u00b5V',
    perSi: 1e6,
    min: 0,
    max: 0.1,
    needs: ['generator'],
  },
  lockS: {
    label: 'Lock time',
    symbol: 't lock',
    siUnit: 's',
    shownUnit: 's',
    perSi: 1,
    min: 0,
    max: 60,
    needs: [],
  },
  onTimeS: {
    label: 'Since power-on',
    symbol: 't on',
    siUnit: 's',
    shownUnit: 'min',
    perSi: 1 / 60,
    min: 0,
    max: 2_592_000,
    needs: [],
  },
} as const satisfies Record<string, QuantityInfo>

export type Quantity = keyof typeof QUANTITIES

export const QUANTITY_NAMES = Object.keys(QUANTITIES) as Quantity[]

/**
 * @returns what is known of a quantity
 * @throws {CoreError} unknown-quantity
 */
export function quantityInfo(quantity: string): QuantityInfo {
  const info = (QUANTITIES as Record<string, QuantityInfo>)[quantity]
  if (!info) throw new CoreError('unknown-quantity', `"${quantity}" is not a quantity Diapason knows`)
  return info
}
