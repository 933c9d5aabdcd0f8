import {
  hiddenShare,
  shownOf,
  spectrumTrace,
  type BenchLook,
  type NeedleMemory,
  type SimulatedInstrument,
  type SimulatedReading,
  type SimulatedSetting,
} from '#core/practice/instruments'
import type { RigAction } from '#core/rig'
import { sameHeader, scpiBoolean, scpiChannel, scpiDecimal, type ScpiCommand } from '#core/scpi'
import type { ScpiHandler, ScpiReply } from './scpiServer'

/** SCPI's "not a number": there is nothing to measure; and too much of it. */
const NO_SIGNAL = '+9.91E+37'
const OVERLOAD = '9.9E37'
/** A trace is swept in this time. */
const SWEEP_MS = 60
const TRACE_POINTS = 401
/** Share of the span that the filter is wide. */
const RBW_OF_SPAN = 0.005

/** What the bench lends to an instrument. */
export interface BenchSide {
  readonly look: () => BenchLook
  readonly nowS: () => number
  readonly seed: () => number
  readonly does: (actions: readonly RigAction[]) => void
}

const number = (value: number) => value.toExponential(9).toUpperCase()

/** A simulated instrument as what it says to each command. */
export function instrumentHandler(instrument: SimulatedInstrument, bench: BenchSide): ScpiHandler {
  const needles = new Map<SimulatedReading, NeedleMemory | null>()
  const trace = { centreHz: 27_185_000, spanHz: 100_000 }
  // What comes from one detector errs alike: average and peak of one power meter cannot contradict each
  // other.
  const stream = (r: SimulatedReading) =>
    [...instrument.key, ...r.header.split(':').slice(0, 2).join()].reduce(
      (h, c) => (h * 31 + c.charCodeAt(0)) % 10_000,
      7,
    )

  const read = (reading: SimulatedReading): ScpiReply => {
    const { shown, memory } = shownOf(
      reading,
      reading.read(bench.look()),
      hiddenShare(bench.seed(), stream(reading)),
      needles.get(reading) ?? null,
      bench.nowS(),
    )
    needles.set(reading, memory)
    if (shown.kind === 'value') return { text: number(shown.value) }
    return { text: shown.kind === 'overload' ? OVERLOAD : NO_SIGNAL }
  }

  return command => {
    const header = command.header.replace(/\?$/, '')
    const readings = command.query
      ? instrument.readings.filter(r => sameHeader(r.header.replace(/\?$/, ''), header))
      : []
    if (readings.length > 0) return chosen(readings, command, read)
    const setting = instrument.settings.find(s => sameHeader(s.header, header))
    if (setting) return setOrTell(setting, command, bench)
    if (instrument.traces) return traced(command, header, trace, bench)
    if (instrument.probes && command.query && sameHeader('MEASure:POINt', header))
      return probed(command, bench)
    return null
  }
}

function chosen(
  readings: readonly SimulatedReading[],
  { parameters }: ScpiCommand,
  read: (r: SimulatedReading) => ScpiReply,
): ScpiReply {
  if (readings[0]!.channel === undefined)
    return parameters.length > 0 ? { error: 'parameter-not-allowed' } : read(readings[0]!)
  if (parameters.length === 0) return { error: 'missing-parameter' }
  const channel = scpiChannel(parameters[0]!)
  const found = readings.find(r => r.channel === channel)
  return found ? read(found) : { error: channel === null ? 'illegal-value' : 'out-of-range' }
}

function setOrTell(
  setting: SimulatedSetting,
  { query, parameters }: ScpiCommand,
  bench: BenchSide,
): ScpiReply {
  if (query) return { text: number(setting.get(bench.look())) }
  if (parameters.length === 0) return { error: 'missing-parameter' }
  if (parameters.length > 1) return { error: 'parameter-not-allowed' }
  const value =
    setting.kind === 'boolean' ? toNumber(scpiBoolean(parameters[0]!)) : scpiDecimal(parameters[0]!)
  if (value === null) return { error: setting.kind === 'boolean' ? 'illegal-value' : 'numeric' }
  if (!(value >= setting.min && value <= setting.max)) return { error: 'out-of-range' }
  bench.does(setting.actions(value, bench.look()))
  return 'done'
}

const toNumber = (value: boolean | null) => (value === null ? null : Number(value))

const SWEEP_SETTINGS = [
  { header: 'FREQuency:CENTer', name: 'centreHz' },
  { header: 'FREQuency:SPAN', name: 'spanHz' },
] as const

function traced(
  { query, parameters }: ScpiCommand,
  header: string,
  trace: { centreHz: number; spanHz: number },
  bench: BenchSide,
): ScpiReply {
  if (query && sameHeader('TRACe[:DATA]', header)) {
    const points = spectrumTrace(bench.look().spectral(), {
      ...trace,
      points: TRACE_POINTS,
      rbwHz: trace.spanHz * RBW_OF_SPAN,
    })
    return { block: Buffer.from(points.buffer, points.byteOffset, points.byteLength), afterMs: SWEEP_MS }
  }
  const which = SWEEP_SETTINGS.find(s => sameHeader(s.header, header))?.name
  if (!which) return null
  if (query) return { text: number(trace[which]) }
  const value = scpiDecimal(parameters[0] ?? '')
  if (value === null) return { error: parameters.length === 0 ? 'missing-parameter' : 'numeric' }
  if (!(value >= (which === 'spanHz' ? 1000 : 1e6) && value <= (which === 'spanHz' ? 2e6 : 3e8)))
    return { error: 'out-of-range' }
  trace[which] = value
  return 'done'
}

function probed({ parameters }: ScpiCommand, bench: BenchSide): ScpiReply {
  const [, name] = /^"([^"]*)"$/.exec(parameters[0] ?? '') ?? []
  if (name === undefined) return { error: parameters.length === 0 ? 'missing-parameter' : 'illegal-value' }
  const point = bench.look().truth.testPoints[name]
  return point ? { text: point.value === null ? NO_SIGNAL : number(point.value) } : { error: 'illegal-value' }
}
