import { CARRIER_OSCILLATOR_HZ, mixingPlan } from '../../circuit'
import { bandChannel } from '../../rules'
import type { RigParts } from '../rigParts'
import type { RigDesign } from '../rigDesign'
import {
  AUDIO,
  CB_S_METER,
  DRIVER,
  FRONT_END,
  NONE,
  SUPPLY_INPUT,
  coilCrystal,
  crystal,
  loopAt,
  output,
  stage,
} from './common'

const D19_HZ = 27_185_000
/** Between the lowest channel of band A and the highest of F: broad circuits serve them all. */
const BANDS_MIDDLE_HZ = 26_960_000
/** With the supply straight on its rail; 20 W through the regulator (C40). */
const SATURATED_W = 21.5
const CARRIER_COIL_H = 3.5e-6
const MIXING_COIL_H = 2e-6
const mixingHz = (mode: 'AM' | 'USB' | 'LSB') => mixingPlan(D19_HZ, CARRIER_OSCILLATOR_HZ[mode]).mixingHz

const parts: RigParts = {
  ...NONE,
  reference: crystal(10_240_000),
  carrierOscillators: {
    AM: coilCrystal(CARRIER_OSCILLATOR_HZ.AM, CARRIER_COIL_H),
    USB: coilCrystal(CARRIER_OSCILLATOR_HZ.USB, CARRIER_COIL_H),
    LSB: coilCrystal(CARRIER_OSCILLATOR_HZ.LSB, CARRIER_COIL_H),
  },
  mixing: {
    AM: { ...coilCrystal(mixingHz('AM'), 0), coilH: 0 },
    USB: coilCrystal(mixingHz('USB'), MIXING_COIL_H),
    LSB: coilCrystal(mixingHz('LSB'), MIXING_COIL_H),
  },
  loop: loopAt(26_740_000 - 10_695_000, 2.8),
  stages: {
    L40: stage(BANDS_MIDDLE_HZ, 4),
    L41: stage(BANDS_MIDDLE_HZ, 4),
    L43: stage(BANDS_MIDDLE_HZ, 2.2),
  },
  driver: { ...DRIVER, currentA: 0.2 },
  final: output({
    saturatedW: SATURATED_W,
    nominalV: 13.8,
    efficiency: 0.6,
    sharpness: 3,
    cutoffRatio: 0.9,
    idleA: 0.05,
  }),
  bipolarBias: { clampFitted: true, fullA: 0.2 },
  regulator: { dropV: 0.5, shorted: false, loadOhm: (13.8 ** 2 * 0.6) / SATURATED_W },
  audio: AUDIO,
  fm: { fullHz: 3800, residualHz: 15 },
  balanced: { nullAt: 0.52, floorRatio: 0.003, slope: 0.4 },
  filter: { secondDbc: -22, lossDb: 46, trap: null, trapDb: 0 },
  panel: { fullScaleW: 25, thresholdRatio: 0.02, gain: 1 },
  frontEnd: { ...FRONT_END, noiseFigureDb: 7 },
  ifFilter: { centreHz: 455_000, halfWidthHz: 3500 },
  sMeter: CB_S_METER,
  supplyInput: { ...SUPPLY_INPUT, receiveA: 0.45, exciterA: 0.15 },
}

const preset = (start: number) => ({ kind: 'preset' as const, start })
const core = (start = 0) => ({ kind: 'core' as const, start })

/** Larkfield LX-8: oscillators per mode, bias, level control, regulator for AM and FM. */
export const LARKFIELD_LX8_RIG: RigDesign = {
  id: 'larkfield-lx8',
  name: 'Larkfield LX-8',
  planId: 'six-band',
  modes: ['AM', 'FM', 'USB', 'LSB'],
  nominalSupplyV: 13.8,
  firstChannel: bandChannel('D', 19),
  scheme: 'multimode',
  regulated: true,
  hasLowPower: false,
  ssbBandwidthHz: 2400,
  drive: { ssb: 1.6, carrier: 1.8 },
  parts,
  adjusters: {
    CT1: { kind: 'trimmer', start: 8 / 18 },
    L14: core(),
    L15: core(),
    L16: core(),
    L21: core(),
    L22: core(),
    L19: core(),
    L40: core(),
    L41: core(),
    L43: core(),
    VR9: preset(0.5),
    VR10: preset(0.5),
    VR11: preset(0.5),
    VR6: preset(0.52),
    VR12: preset(0.51),
    VR13: preset(0.442),
    VR14: preset(0.58),
    VR15: preset(0.48),
    VR2: preset(0.5),
  },
  wiring: {
    reference: 'CT1',
    carrierCoils: { AM: 'L14', USB: 'L15', LSB: 'L16' },
    offsetCoils: { USB: 'L21', LSB: 'L22' },
    vcoCoil: 'L19',
    driveCoils: ['L40', 'L41'],
    outputCoils: ['L43'],
    bias: ['VR10', 'VR11'],
    balance: 'VR6',
    sMeter: 'VR2',
  },
  laws: {
    carrierRatio: at => at('VR13'),
    depthLimit: at => 0.3 + 1.05 * at('VR14'),
    deviationShare: at => at('VR15'),
    ssbLimitW: at => 2 + 38 * at('VR12') ** 2,
  },
}
