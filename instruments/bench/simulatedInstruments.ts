import type { RigTruth } from '../../core/rig'
import type { ScpiHandler } from './scpiServer'

/** SCPI's "not a number": there is nothing to measure. */
const NO_SIGNAL = '+9.91E+37'
/** Weakest carrier that counter and modulation meter still read [W]. */
const NEEDS_W = 0.01

/** What the instruments see of the bench, and the one thing that one of them sets. */
export interface BenchSide {
  readonly truth: () => RigTruth
  currentLimitA: number
}

export interface SimulatedInstrument {
  readonly key: 'power' | 'counter' | 'modulation' | 'supply'
  readonly name: string
  readonly profileId: string
  readonly identity: string
  readonly handler: (bench: BenchSide) => ScpiHandler
}

const number = (value: number | null) => value === null ? NO_SIGNAL : value.toExponential(9).toUpperCase()
const identity = (what: string, serial: string) => `Weirside Bench,${what},${serial},1.0`

/** Each has a fixed error of its own inside its class, as real ones do: the reading is never the truth. */
const POWER_GAIN = 1.008
const COUNTER_GAIN = 1 + 0.03e-6
const DEVIATION_GAIN = 0.995

export const SIMULATED_INSTRUMENTS: readonly SimulatedInstrument[] = [
  { key: 'power', name: 'Power meter', profileId: 'scpi-power-meter', identity: identity('RF power meter (simulated)', 'S1'),
    handler: ({ truth }) => byHeader({
      'MEAS:POW:AVER?': () => number(truth().powerW * POWER_GAIN),
      'MEAS:POW:PEAK?': () => number(truth().pepW * POWER_GAIN),
    }) },
  { key: 'counter', name: 'Counter', profileId: 'scpi-counter', identity: identity('Frequency counter (simulated)', 'S2'),
    handler: ({ truth }) => byHeader({
      'MEAS:FREQ? (@1)': () => number(onAir(truth(), t => t.carrierHz === null ? null : t.carrierHz * COUNTER_GAIN)),
      'MEAS:FREQ? (@2)': () => number(truth().referenceHz * COUNTER_GAIN),
    }) },
  { key: 'modulation', name: 'Modulation meter', profileId: 'scpi-modulation-meter', identity: identity('Modulation meter (simulated)', 'S3'),
    handler: ({ truth }) => byHeader({
      'MEAS:FM:DEV:POS?': () => number(onAir(truth(), t => t.deviationPositiveHz === null ? null : t.deviationPositiveHz * DEVIATION_GAIN)),
      'MEAS:FM:DEV:NEG?': () => number(onAir(truth(), t => t.deviationNegativeHz === null ? null : t.deviationNegativeHz * DEVIATION_GAIN)),
    }) },
  { key: 'supply', name: 'Bench supply', profileId: 'scpi-supply', identity: identity('Bench supply (simulated)', 'S4'),
    handler: bench => supplyHandler(bench) },
]

const LIMIT_COMMAND = /^CURR (\d+(?:\.\d+)?)$/

/** Reads voltage, current and time, and takes its current limit: CURR 1.5 */
function supplyHandler(bench: BenchSide): ScpiHandler {
  const read = byHeader({
    'MEAS:VOLT?': () => number(bench.truth().supplyV),
    'MEAS:CURR?': () => number(bench.truth().supplyA),
    'CURR?': () => number(bench.currentLimitA),
    'OUTP:ELAP?': () => number(bench.truth().onTimeS),
  })
  return (header) => {
    const limit = LIMIT_COMMAND.exec(header)?.[1]
    if (limit === undefined) return read(header)
    bench.currentLimitA = Number(limit)
    return ''
  }
}

function onAir(truth: RigTruth, pick: (t: RigTruth) => number | null): number | null {
  return truth.powerW >= NEEDS_W ? pick(truth) : null
}

function byHeader(answers: Record<string, () => string>): ScpiHandler {
  return header => answers[header]?.()
}
