import type { RigParts } from '../rigParts'
import type { RigDesign } from '../rigDesign'
import {
  AUDIO,
  CB_S_METER,
  DRIVER,
  FIXED_LOAD,
  FRONT_END,
  NONE,
  SUPPLY_INPUT,
  crystal,
  loopAt,
  output,
} from './common'

/** Entry of the menu that sets the carrier, by mode and power switch. */
const CARRIER_ENTRY = { AM: { high: '01', low: '02' }, FM: { high: '03', low: '04' } } as const
const SATURATED_W = 21.5
/** Through the regulator [W]. */
const FULL_W = SATURATED_W * (13.3 / 13.8) ** 2
/**
 * 66h makes 3.94 W, a step there 0.12 to 0.13 W: root of the power is a line in the code (C46, invented set).
 */
const ROOT_W_PER_STEP = 0.0311
const ROOT_W_AT_66H = Math.sqrt(3.94)
const rootW = (code: number) => Math.max(0, ROOT_W_AT_66H + ROOT_W_PER_STEP * (code - 0x66))
/** Deviation at FFh [Hz], depth per step [ratio]. */
const FULL_DEVIATION_HZ = 3500
const DEPTH_PER_STEP = 1 / 124

const parts: RigParts = {
  ...NONE,
  reference: crystal(10_240_000, FIXED_LOAD),
  loop: loopAt(27_185_000 - 10_695_000, 2.8),
  driver: DRIVER,
  final: output({ saturatedW: SATURATED_W, nominalV: 13.8, efficiency: 0.62, sharpness: 6 }),
  regulator: { dropV: 0.5, shorted: false, loadOhm: (13.8 ** 2 * 0.62) / SATURATED_W },
  audio: AUDIO,
  fm: { fullHz: FULL_DEVIATION_HZ, residualHz: 15 },
  filter: { secondDbc: -20, lossDb: 48, trap: null, trapDb: 0 },
  panel: { fullScaleW: 5, thresholdRatio: 0, gain: 1 },
  frontEnd: { ...FRONT_END, noiseFigureDb: 6 },
  ifFilter: { centreHz: 455_000, halfWidthHz: 4000 },
  sMeter: CB_S_METER,
  supplyInput: SUPPLY_INPUT,
}

const entry = (start: number) => ({ kind: 'menu-value' as const, start, max: 255, perCoverage: true })

/** Corvid M6: no presets, one number for every mode and power level, kept apart for each country state. */
export const CORVID_M6_RIG: RigDesign = {
  id: 'corvid-m6',
  name: 'Corvid M6',
  planId: 'forty',
  modes: ['AM', 'FM'],
  nominalSupplyV: 13.8,
  firstChannel: 19,
  scheme: 'single-reference',
  regulated: true,
  hasLowPower: true,
  ssbBandwidthHz: 2400,
  drive: { ssb: 0, carrier: 1.8 },
  parts,
  adjusters: {
    '01': entry(0x65),
    '02': entry(0x3a),
    '03': entry(0x65),
    '04': entry(0x3a),
    '05': entry(106),
    '06': entry(111),
    '07': entry(134),
    '08': entry(128),
  },
  wiring: { driveCoils: [], outputCoils: [], sMeter: '08' },
  laws: {
    carrierRatio: (at, { mode, lowPower }) =>
      rootW(at(CARRIER_ENTRY[mode === 'FM' ? 'FM' : 'AM'][lowPower ? 'low' : 'high'])) / Math.sqrt(FULL_W),
    depthLimit: (at, { lowPower }) => DEPTH_PER_STEP * at(lowPower ? '06' : '05'),
    deviationShare: at => at('07') / 255,
    ssbLimitW: () => 0,
  },
}
