import type { RigParts } from '../rigParts'
import type { RigDesign } from '../rigDesign'
import { preselectorPeak } from '../assembly/receive'
import { AUDIO, DRIVER, FRONT_END, NONE, SUPPLY_INPUT, crystal, output } from './common'

const TWENTY_METRES = 3

const parts: RigParts = {
  ...NONE,
  reference: crystal(10_000_000, { warmUpPpm: -6, warmUpS: 600 }),
  driver: DRIVER,
  final: output({ saturatedW: 150, nominalV: 230 }),
  // Two plates in a cage: the dissipation shows as heat of the glass; 100 W for ten seconds is what they
  // bear.
  heat: { junctionKPerW: 0.35, junctionS: 4, sinkKPerW: 1, sinkS: 200 },
  audio: AUDIO,
  filter: { secondDbc: -20, lossDb: 30, trap: null, trapDb: 0 },
  panel: { fullScaleW: 200, thresholdRatio: 0.08, gain: 1 },
  frontEnd: { ...FRONT_END, noiseFigureDb: 8 },
  ifFilter: { centreHz: 3_180_000, halfWidthHz: 1400 },
  sMeter: { s9V: 50e-6, unitDb: 6, presetDb: 48 },
  supplyInput: SUPPLY_INPUT,
  valves: { driveA: 0.5, idleA: 0.06, emission: 1, swingRatio: 0.84, plateOhm: 2400, fundamentalRatio: 1.57 },
  tank: { inductanceH: 1e-6, coilQ: 200, loadOhm: 50 },
  neutralising: { nullAt: 0.5, slope: 3 },
  highVoltage: { fullV: 800, reservoirF: 100e-6, bleederOhm: 100_000, bleederOpen: false },
}

const control = (start: number) => ({ kind: 'control' as const, start })

/** Quillon HB-150: two output valves, pi-network, preselector; tuned at every change of band. */
export const QUILLON_HB150_RIG: RigDesign = {
  id: 'quillon-hb150',
  name: 'Quillon HB-150',
  planId: 'hf-five',
  modes: ['CW', 'USB', 'LSB', 'AM'],
  nominalSupplyV: 230,
  firstChannel: TWENTY_METRES,
  scheme: 'clock',
  regulated: false,
  hasLowPower: false,
  ssbBandwidthHz: 2400,
  drive: { ssb: 1, carrier: 1 },
  parts,
  adjusters: {
    PRESELECTOR: control(preselectorPeak(TWENTY_METRES)),
    PLATE: control(0.5),
    LOAD: control(0.538),
    CARRIER: control(0),
    VR3: { kind: 'preset', start: 0.5 },
    TC9: { kind: 'trimmer', start: 0.5 },
    VR5: { kind: 'preset', start: 0.5 },
    VR4: { kind: 'preset', start: 0.5 },
    TC1: { kind: 'trimmer', start: 8 / 18 },
  },
  wiring: {
    driveCoils: [],
    outputCoils: [],
    panel: 'VR5',
    sMeter: 'VR4',
    preselector: 'PRESELECTOR',
    plate: 'PLATE',
    load: 'LOAD',
    neutralising: 'TC9',
  },
  laws: {
    carrierRatio: at => at('CARRIER'),
    depthLimit: () => 1,
    deviationShare: () => 0,
    ssbLimitW: () => 150,
  },
}
