import { trimmerFor } from '../../circuit'
import type { RigParts } from '../rigParts'
import type { RigDesign } from '../rigDesign'
import { AUDIO, DRIVER, FRONT_END, NONE, PF, SUPPLY_INPUT, crystal, loopAt, output, stage } from './common'

const BAND_CENTRE_HZ = 27_796_250
const reference = crystal(10_240_000, { ageingPpm: -6 })
const txCrystal = crystal(13_045_625, {
  cut: { motionalF: 6e-15, shuntF: 5 * PF },
  ageingPpm: -3,
  warmUpPpm: -1.2,
})
const rxCrystal = crystal(15_396_250, {
  cut: { motionalF: 6e-15, shuntF: 5 * PF },
  ageingPpm: -2,
  warmUpPpm: -1.2,
})

const parts: RigParts = {
  ...NONE,
  reference,
  txCrystal,
  rxCrystal,
  loop: loopAt(17_096_250, 2.8),
  stages: Object.fromEntries(
    [
      ['L1', 18],
      ['L2', 18],
      ['L3', 20],
      ['L4', 20],
      ['L5', 15],
      ['L6', 12],
    ]
      .map(([d, q]) => [d, stage(BAND_CENTRE_HZ, q as number)])
      .concat([['L7', stage(BAND_CENTRE_HZ, 4, 0.096)]]),
  ),
  pairs: [{ primary: 'L1', secondary: 'L2', primaryQ: 18, secondaryQ: 18, k: 1 / 18 }],
  driver: DRIVER,
  final: output({ saturatedW: 4.3, nominalV: 13.8 }),
  audio: AUDIO,
  fm: { fullHz: 4000, residualHz: 15 },
  filter: { secondDbc: -18, lossDb: 48, trap: null, trapDb: 0 },
  panel: { fullScaleW: 5, thresholdRatio: 0, gain: 1 },
  frontEnd: { ...FRONT_END, noiseFigureDb: 6 },
  ifFilter: { centreHz: 455_000, halfWidthHz: 4000 },
  supplyInput: SUPPLY_INPUT,
}

/** Low position of the power switch: share of high power at the ends of its preset. */
const LOW_POWER = { min: 0.02, max: 0.3 }

/** Osmund 27F: three crystals, seven coils, power by loading, low power by a preset. */
export const OSMUND_27F_RIG: RigDesign = {
  id: 'osmund-27f',
  name: 'Osmund 27F',
  planId: 'uk27',
  modes: ['FM'],
  nominalSupplyV: 13.8,
  firstChannel: 20,
  scheme: 'three-crystal',
  regulated: false,
  hasLowPower: true,
  ssbBandwidthHz: 2400,
  drive: { ssb: 0, carrier: Math.sqrt(5) },
  parts,
  adjusters: {
    CT1: { kind: 'trimmer', start: trimmerFor(reference, 10_240_000) },
    CT2: { kind: 'trimmer', start: trimmerFor(txCrystal, 13_045_628) },
    CT3: { kind: 'trimmer', start: trimmerFor(rxCrystal, 15_396_250) },
    ...Object.fromEntries(['L1', 'L2', 'L3', 'L4', 'L5'].map(d => [d, { kind: 'core' as const, start: 0 }])),
    L6: { kind: 'core', start: -0.2 },
    L7: { kind: 'core', start: 0.9 },
    RV1: { kind: 'preset', start: 0.285 },
    RV2: { kind: 'preset', start: 0.6 },
    RV3: { kind: 'preset', start: 0.5 },
  },
  wiring: {
    reference: 'CT1',
    txTrimmer: 'CT2',
    rxTrimmer: 'CT3',
    driveCoils: ['L1', 'L2', 'L3', 'L4', 'L5'],
    outputCoils: ['L6', 'L7'],
    panel: 'RV3',
  },
  laws: {
    carrierRatio: (at, { lowPower }) =>
      lowPower ? Math.sqrt(LOW_POWER.min + (LOW_POWER.max - LOW_POWER.min) * at('RV1')) : 1,
    depthLimit: () => 0,
    deviationShare: at => at('RV2'),
    ssbLimitW: () => 0,
  },
}
