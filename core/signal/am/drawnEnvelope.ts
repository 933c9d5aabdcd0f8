import { message } from '../../message'
import { voltageDb } from '../../quantity'
import { noteIf, type AmFigures, type Note } from '../result'
import { drawComplex, extremes, type Cycle } from '../tone/cycle'
import { fitFlanks, flatTopShare, pinchedShare, plateau } from './envelopeShape'

/** A trough of the in-phase part this far below zero, against the carrier, is a phase that flips. */
const REVERSED = 0.02
const NEXT_TO_NOTHING = 0.02
/** Under this share of the carrier nothing is sent. */
const NOTHING_SENT = 0.01

/** One cycle of an envelope as it is drawn by its lines, with what its shape tells. */
export interface DrawnEnvelope {
  readonly envelope: Float64Array
  readonly inPhase: Float64Array
  /** phase of the carrier [rad] */
  readonly phase: number
  readonly mean: number
  readonly crest: number
  readonly trough: number
  /** whether the phase flips instead of the carrier being pinched off */
  readonly flips: boolean
  readonly pinchedRatio: number
  readonly flatTopRatio: number
  /** swing of the in-phase part over twice its mean */
  readonly synchronous: number
  /** what the flanks of a cut crest would reach; null where nothing is cut */
  readonly impliedCrest: number | null
}

/** @param pointNoise standard deviation of a point of the cycle */
export function drawnEnvelope(cycle: Cycle, pointNoise: number): DrawnEnvelope {
  const { re, im } = drawComplex(cycle)
  const carrier = cycle.lines[cycle.harmonics]!
  const phase = Math.atan2(carrier.im, carrier.re)
  const inPhase = re.map((x, n) => x * Math.cos(phase) + im[n]! * Math.sin(phase))
  // Where next to nothing is left, ripple of the channel would be counted as carrier if its size were taken.
  const size = re.map((x, n) => Math.hypot(x, im[n]!))
  const small = NEXT_TO_NOTHING * extremes(size).max
  const envelope = size.map((y, n) => (y > small ? y : Math.abs(inPhase[n]!)))
  const { max, min } = extremes(envelope)
  const mean = extremes(size.map((y, n) => (y > small ? y : inPhase[n]!))).mean
  const sync = extremes(inPhase)
  const flips = sync.min < -Math.max(REVERSED * mean, 6 * pointNoise)
  const fit = flips ? null : fitFlanks(envelope, max)
  const pinchedRatio = flips ? 0 : pinchedShare(envelope, fit, Math.max(NOTHING_SENT * mean, 3 * pointNoise))
  const flatTopRatio = flatTopShare(envelope, fit, max)
  return {
    envelope,
    inPhase,
    phase,
    mean,
    crest: flatTopRatio > 0 ? plateau(envelope, flatTopRatio) : max,
    trough: pinchedRatio > 0 || flips ? 0 : Math.max(0, min),
    flips,
    pinchedRatio,
    flatTopRatio,
    synchronous: (sync.max - sync.min) / (2 * sync.mean),
    impliedCrest: fit !== null && flatTopRatio > 0 ? fit.mean + fit.swing : null,
  }
}

/** What the shape of a cycle has to be told beside its figures. */
export function shapeNotes(v: AmFigures, { flips, impliedCrest, crest }: DrawnEnvelope): Note[] {
  const pinched = message('note.cutOff', { value: (100 * v.pinchedRatio).toFixed(1) })
  const below = voltageDb((impliedCrest ?? crest) / crest)
  const disagrees = message('note.pepDisagrees', {
    value: (100 * v.depthPositive).toFixed(0),
    value2: (100 * v.depthNegative).toFixed(0),
  })
  return [
    ...noteIf(flips, 'phase-reversal', message('note.phaseReversal')),
    ...noteIf(v.pinchedRatio > 0, 'pinched-off', pinched),
    ...noteIf(impliedCrest !== null, 'flat-topped', message('note.flatTopped', { below: below.toFixed(1) })),
    ...noteIf(impliedCrest !== null, 'pep-disagrees', disagrees),
  ]
}
