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
  stage,
} from './common'

const FULL_W = 640
const BAND_CENTRE_HZ = 27_185_000

const parts: RigParts = {
  ...NONE,
  reference: crystal(10_240_000, FIXED_LOAD),
  loop: loopAt(BAND_CENTRE_HZ - 10_695_000, 2.8),
  stages: { L30: stage(BAND_CENTRE_HZ, 6), L31: stage(BAND_CENTRE_HZ, 5) },
  driver: { ...DRIVER, currentA: 2, kelvinPerW: 1.5 },
  final: output({
    saturatedW: FULL_W,
    nominalV: 14,
    efficiency: 0.75,
    sharpness: 4,
    cutoffRatio: 0.6,
    idleA: 0.8,
  }),
  bipolarBias: { clampFitted: true, fullA: 0.8 },
  heat: { junctionKPerW: 0.12, junctionS: 0.6, sinkKPerW: 0.12, sinkS: 240 },
  audio: AUDIO,
  balanced: { nullAt: 0.5, floorRatio: 0.003, slope: 0 },
  filter: { secondDbc: -24, lossDb: 44, trap: null, trapDb: 0 },
  panel: { fullScaleW: 1000, thresholdRatio: 0.03, gain: 1 },
  frontEnd: { ...FRONT_END, noiseFigureDb: 7 },
  ifFilter: { centreHz: 455_000, halfWidthHz: 3500 },
  sMeter: CB_S_METER,
  supplyInput: { ...SUPPLY_INPUT, receiveA: 0.9, exciterA: 0.6 },
}

/** Brantwick Tallis 60: one control for carrier and crest together; 14.0 V, up to 50 A. */
export const BRANTWICK_TALLIS60_RIG: RigDesign = {
  id: 'brantwick-tallis60',
  name: 'Brantwick Tallis 60',
  planId: 'forty',
  modes: ['AM', 'USB', 'LSB'],
  nominalSupplyV: 14,
  firstChannel: 19,
  scheme: 'single-reference',
  regulated: false,
  hasLowPower: false,
  ssbBandwidthHz: 2400,
  drive: { ssb: 1.3, carrier: 1.6 },
  parts,
  adjusters: {
    'RF POWER': { kind: 'control', start: 0.355 },
    'VR7': { kind: 'preset', start: 0.57 },
    'VR8': { kind: 'preset', start: 0.7 },
    'L30': { kind: 'core', start: 0 },
    'L31': { kind: 'core', start: 0 },
    'VR1': { kind: 'preset', start: 0.5 },
  },
  wiring: { driveCoils: ['L30'], outputCoils: ['L31'], sMeter: 'VR1', fixedBias: 1 },
  laws: {
    carrierRatio: at => 0.08 + 0.77 * at('RF POWER'),
    depthLimit: at => 0.3 + 1.05 * at('VR7'),
    deviationShare: () => 0,
    ssbLimitW: at => FULL_W * (0.2 + 0.8 * at('RF POWER')) * (0.3 + at('VR8')),
  },
}
