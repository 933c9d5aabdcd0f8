import {
  coilFor,
  type CrystalOscillator,
  type HeatPath,
  type LockedLoop,
  type OutputStage,
  type TunedStage,
  type Vco,
} from '../../circuit'
import type { RigParts } from '../rigParts'

/** Values that the invented sets share; of the size that such sets have. */
export const PF = 1e-12
const CUT = { motionalF: 8e-15, shuntF: 5 * PF }

export const crystal = (nominalHz: number, rest: Partial<CrystalOscillator> = {}): CrystalOscillator => ({
  nominalHz,
  cut: CUT,
  designF: 22 * PF,
  fixedF: 12 * PF,
  trimmerF: { min: 2 * PF, max: 20 * PF },
  coilH: 0,
  coilPerTurn: 0,
  ageingPpm: 0,
  warmUpPpm: -2,
  warmUpS: 480,
  tempcoPpmPerK: -0.03,
  ...rest,
})

/** A fixed crystal: its load is one capacitor. */
export const FIXED_LOAD = { fixedF: 22 * PF, trimmerF: { min: 0, max: 0 } } as const

/** A crystal pulled by a coil in series, about +/-40 ppm over its thread. */
export const coilCrystal = (nominalHz: number, coilH: number): CrystalOscillator =>
  crystal(nominalHz, {
    cut: { motionalF: 20e-15, shuntF: 5 * PF },
    designF: 25 * PF,
    fixedF: 25 * PF,
    trimmerF: { min: 0, max: 0 },
    coilH,
    coilPerTurn: 0.2,
    warmUpPpm: -1.2,
  })

const VARICAP = { inductancePerTurn: 0.2, fixedF: 15 * PF, varicapF: 40 * PF, junctionV: 0.7, exponent: 0.5 }

/** A loop whose VCO stands at controlV on a frequency, core in the middle. */
export function loopAt(frequencyHz: number, controlV: number): LockedLoop {
  const vco: Vco = { ...VARICAP, inductanceH: coilFor(VARICAP, frequencyHz, controlV) }
  return { vco, lowV: 0.3, railV: 8, pumpS: 0.8, glueF: 0, glueWanderHz: 0 }
}

export const stage = (centreHz: number, q: number, inductancePerTurn = 0.036): TunedStage => ({
  centreHz,
  q,
  inductancePerTurn,
})

/** Output device on the rear wall of a mobile. */
export const ON_A_SINK: HeatPath = { junctionKPerW: 6, junctionS: 0.4, sinkKPerW: 6, sinkS: 150 }

export const output = (
  rest: Partial<OutputStage> & Pick<OutputStage, 'saturatedW' | 'nominalV'>,
): OutputStage => ({
  sharpness: 2,
  efficiency: 0.55,
  cutoffRatio: 0,
  idleA: 0,
  dcGain: 80,
  fadePerK: 0.0004,
  fadeFromC: 60,
  shortOhm: null,
  dead: false,
  ...rest,
})

/** What a set of the kind has not. */
export const NONE = {
  txCrystal: null,
  rxCrystal: null,
  carrierOscillators: null,
  mixing: null,
  loop: null,
  program: { bandShiftHz: {} },
  stages: {},
  pairs: [],
  bipolarBias: null,
  gateBias: null,
  regulator: null,
  fm: null,
  balanced: null,
  tracks: {},
  panel: null,
  sMeter: null,
  valves: null,
  tank: null,
  neutralising: null,
  highVoltage: null,
  microphone: { sensitivityRatio: 1 },
  heat: ON_A_SINK,
} satisfies Partial<RigParts>

/** Without a limiter 30 mV would modulate 3.6 times fully. */
export const AUDIO = { gainPerV: 120, limiterFitted: true, lowCutHz: 100, humRatio: 0 }
export const SUPPLY_INPUT = { receiveA: 0.32, exciterA: 0.14, diodeShorted: false, diodeOhm: 0.05 }
export const DRIVER = { gainRatio: 1, currentA: 0.08, emitterOhm: 4.7, kelvinPerW: 20 }
export const FRONT_END = { noiseFigureDb: 8, faultLossDb: 0, distortionRatio: 0.03 }
export const CB_S_METER = { s9V: 100e-6, unitDb: 6, presetDb: 48 }
