import type { RigParts } from '../rigParts'
import type { At, RigDesign } from '../rigDesign'
import { AUDIO, DRIVER, FRONT_END, NONE, SUPPLY_INPUT, crystal, output } from './common'

const REF_ZERO_HZ = 24_990_000
const CRYSTAL_HZ = 25_000_310
/** One power number for each band of the plan, by channel. */
const BAND_NUMBERS = ['P80', 'P40', 'P20', 'P15', 'P10'] as const
/** Gain falls towards 10 m [ratio of amplitude]. */
const BAND_GAIN = [1, 1, 0.97, 0.92, 0.85]

const parts: RigParts = {
  ...NONE,
  reference: crystal(CRYSTAL_HZ, { warmUpPpm: -1 }),
  driver: { ...DRIVER, currentA: 0.02 },
  final: output({ saturatedW: 11, nominalV: 13.8, efficiency: 0.6, cutoffRatio: 0.7, idleA: 0.5, dcGain: 0 }),
  gateBias: { clampFitted: true, fullV: 5, thresholdV: 2.2, gainAPerV2: 0.4 },
  audio: AUDIO,
  balanced: { nullAt: 0.5, floorRatio: 0.002, slope: 0 },
  filter: { secondDbc: -24, lossDb: 32, trap: null, trapDb: 0 },
  frontEnd: { ...FRONT_END, noiseFigureDb: 7 },
  ifFilter: { centreHz: 12_000, halfWidthHz: 1500 },
  sMeter: { s9V: 50e-6, unitDb: 6, presetDb: 48 },
  supplyInput: { ...SUPPLY_INPUT, receiveA: 0.28, exciterA: 0.05 },
}

const number = (start: number, max = 255) => ({ kind: 'menu-value' as const, start, max })
const sideband = (mode: string) => mode === 'USB' || mode === 'LSB'
const share = (at: At, channel: number) =>
  Math.min(1, (at(BAND_NUMBERS[channel - 1]!) / 200) * BAND_GAIN[channel - 1]!)

/**
 * Quillon P7: everything is a number in a menu; bias by current, power by band, translation of the receiver.
 */
export const QUILLON_P7_RIG: RigDesign = {
  id: 'quillon-p7',
  name: 'Quillon P7',
  planId: 'hf-five',
  modes: ['USB', 'LSB', 'CW'],
  nominalSupplyV: 13.8,
  firstChannel: 3,
  scheme: 'clock',
  regulated: false,
  hasLowPower: false,
  ssbBandwidthHz: 2400,
  drive: { ssb: 1.5, carrier: 1.5 },
  parts,
  adjusters: {
    'REF': number(CRYSTAL_HZ - REF_ZERO_HZ, 20_000),
    'TRANS': number(12_000, 24_000),
    'BIAS': number(169),
    'BIAS-CW': number(169),
    'P80': number(138),
    'P40': number(138),
    'P20': number(142),
    'P15': number(150),
    'P10': number(162),
  },
  wiring: {
    driveCoils: [],
    outputCoils: [],
    bias: ['BIAS'],
    biasByMode: { CW: ['BIAS-CW'] },
    ifOffset: 'TRANS',
  },
  laws: {
    carrierRatio: (at, { channel }) => share(at, channel),
    depthLimit: () => 0,
    deviationShare: () => 0,
    ssbLimitW: (at, { channel, mode }) => (sideband(mode) ? 11 * share(at, channel) ** 2 : 11),
  },
  assumedHz: at => REF_ZERO_HZ + at('REF'),
}
