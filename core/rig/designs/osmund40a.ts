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

const BAND_CENTRE_HZ = 27_185_000
/** At the least drop of the regulator this final makes about 21 W. */
const SATURATED_W = 22.6

const parts: RigParts = {
  ...NONE,
  reference: crystal(10_240_000, FIXED_LOAD),
  loop: loopAt(26_965_000 - 10_695_000, 2.2),
  stages: {
    L4: stage(BAND_CENTRE_HZ, 20),
    L5: stage(BAND_CENTRE_HZ, 20),
    L6: stage(BAND_CENTRE_HZ, 20),
    L7: stage(BAND_CENTRE_HZ, 15),
    L8: stage(BAND_CENTRE_HZ, 10),
  },
  driver: DRIVER,
  final: output({ saturatedW: SATURATED_W, nominalV: 13.8, efficiency: 0.68, sharpness: 6 }),
  regulator: { dropV: 0.5, shorted: false, loadOhm: (13.8 ** 2 * 0.68) / SATURATED_W },
  audio: AUDIO,
  filter: { secondDbc: -18, lossDb: 30, trap: stage(2 * BAND_CENTRE_HZ, 30), trapDb: 25 },
  panel: { fullScaleW: 5, thresholdRatio: 0.02, gain: 1 },
  frontEnd: FRONT_END,
  ifFilter: { centreHz: 455_000, halfWidthHz: 3500 },
  sMeter: CB_S_METER,
  supplyInput: SUPPLY_INPUT,
}

/** Osmund 40A: one crystal without a trimmer, carrier by the regulator, depth by the limiter. */
export const OSMUND_40A_RIG: RigDesign = {
  id: 'osmund-40a',
  name: 'Osmund 40A',
  planId: 'forty',
  modes: ['AM'],
  nominalSupplyV: 13.8,
  firstChannel: 19,
  scheme: 'single-reference',
  regulated: true,
  hasLowPower: false,
  ssbBandwidthHz: 2400,
  drive: { ssb: 0, carrier: 1.8 },
  parts,
  adjusters: {
    C31: { kind: 'trimmer', start: 0.5 },
    L1: { kind: 'core', start: 0 },
    ...Object.fromEntries(
      ['L4', 'L5', 'L6', 'L7', 'L8', 'L9'].map(d => [d, { kind: 'core' as const, start: 0 }]),
    ),
    RV1: { kind: 'preset', start: 0.5 },
    RV2: { kind: 'preset', start: 0.5 },
    RV4: { kind: 'preset', start: 0.43 },
    RV5: { kind: 'preset', start: 0.58 },
  },
  wiring: {
    reference: 'C31',
    vcoCoil: 'L1',
    driveCoils: ['L4', 'L5', 'L6', 'L7'],
    outputCoils: ['L8'],
    trap: 'L9',
    panel: 'RV1',
    sMeter: 'RV2',
  },
  laws: {
    carrierRatio: at => at('RV4'),
    depthLimit: at => 0.3 + 1.05 * at('RV5'),
    deviationShare: () => 0,
    ssbLimitW: () => 0,
  },
}
