import type { RigParts } from '../rigParts'
import type { RigDesign } from '../rigDesign'
import { AUDIO, DRIVER, FRONT_END, NONE, SUPPLY_INPUT, crystal, output } from './common'

/** Menu REF counts hertz above this; the crystal of this kit is 820 Hz high. */
const REF_ZERO_HZ = 24_995_000
const CRYSTAL_HZ = 25_000_820
/** Where the filter of this kit really stands, by its menu. */
const IF_CODE = 620

const parts: RigParts = {
  ...NONE,
  reference: crystal(CRYSTAL_HZ, { warmUpPpm: -1.5 }),
  driver: { ...DRIVER, currentA: 0.05 },
  final: output({ saturatedW: 6.2, nominalV: 12, efficiency: 0.6, cutoffRatio: 0.9, idleA: 0.02, dcGain: 0 }),
  gateBias: { clampFitted: true, fullV: 5, thresholdV: 2.1, gainAPerV2: 0.25 },
  heat: { junctionKPerW: 3, junctionS: 0.3, sinkKPerW: 59, sinkS: 40 },
  audio: AUDIO,
  filter: { secondDbc: -18, lossDb: 34, trap: null, trapDb: 0 },
  frontEnd: { ...FRONT_END, noiseFigureDb: 9 },
  ifFilter: { centreHz: 4_915_000, halfWidthHz: 300 },
  supplyInput: { ...SUPPLY_INPUT, receiveA: 0.05, exciterA: 0.05 },
}

/**
 * Quillon P5: a clock generator told its crystal, one IRF510 without a heat sink, bias and power by presets.
 */
export const QUILLON_P5_RIG: RigDesign = {
  id: 'quillon-p5',
  name: 'Quillon P5',
  planId: 'cw-20m',
  modes: ['CW'],
  nominalSupplyV: 12,
  firstChannel: 1,
  scheme: 'clock',
  regulated: false,
  hasLowPower: false,
  ssbBandwidthHz: 500,
  drive: { ssb: 0, carrier: 2.2 },
  parts,
  adjusters: {
    REF: { kind: 'menu-value', start: CRYSTAL_HZ - REF_ZERO_HZ, max: 9999 },
    IF: { kind: 'menu-value', start: IF_CODE, max: 4000 },
    R36: { kind: 'preset', start: 0.48 },
    R41: { kind: 'preset', start: 0.62 },
  },
  wiring: { driveCoils: [], outputCoils: [], bias: ['R36'], ifOffset: 'IF' },
  laws: {
    carrierRatio: at => (0.2 + 1.1 * at('R41') > 1 ? 1 : 0.2 + 1.1 * at('R41')),
    depthLimit: () => 0,
    deviationShare: () => 0,
    ssbLimitW: () => 0,
  },
  assumedHz: at => REF_ZERO_HZ + at('REF'),
}
