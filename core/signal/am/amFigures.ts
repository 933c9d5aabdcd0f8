import { envelopeOf, meanPower, middlePart, type Series } from '../series'
import {
  distortionOf,
  drawComplex,
  extremes,
  linesOfCycle,
  complexCycle,
  withoutNoiseLines,
  LEAST_CYCLES,
  type Cycle,
} from '../tone/cycle'
import { lineAmplitude } from '../tone/lines'
import { largestPart } from '../limits'
import { NOISE_KNOWN_TO, note, ratioToDb, type AmFigures, type Measured, type Note } from '../result'
import { fitFlanks, flatTopShare, pinchedShare, plateau } from './envelopeShape'
import { frequencyDeviation, lineDeviation, noisePerHz } from '../tone/noisePerHz'
import { MOST_AVERAGED, sinadOf, withoutTone, type ToneApart } from '../audio/sinad'
import {
  AM_AUDIO_HZ,
  againstBare,
  bareCarrier,
  ofUnmodulated,
  referenceNotes,
  type AmInput,
  type AmResult,
} from './amInput'
import { amWaveform } from './amWaveform'

/**
 * Filter ripple, rounding and the harmonics that the channel does not hold: what is left without any noise
 * [ratio].
 */
const FLOOR = 4e-5
/** A trough of the in-phase part this far below zero, against the carrier, is a phase that flips. */
const REVERSED = 0.02
const NEXT_TO_NOTHING = 0.02
/** Hum smaller than this against the carrier does not move a peak that is worth a word. */
const HUM_SEEN = 0.002

/**
 * Everything about amplitude modulation (C01 to C05). With a steady tone that explains it the envelope is
 * averaged over its cycles, so that crest and trough carry no noise; anything else, and a tone with hum
 * beside it, is judged by the waveform as it was sent.
 */
export function amFigures(input: AmInput): AmResult {
  const { modulated, toneHz, hum } = input
  const steady = toneHz !== null && (toneHz * modulated.re.length) / modulated.rateHz >= LEAST_CYCLES
  if (!steady) return amWaveform({ ...input, toneHz: null })
  const cycle = withTone(input, toneHz)
  if (hum < HUM_SEEN * cycle.meanEnvelope || cycle.values.depthSynchronous !== null) return cycle
  const wave = amWaveform(input)
  const { thd, sinadDb, depthFundamental, flatTopRatio } = cycle.values
  const kept = cycle.uncertainty
  return {
    ...cycle,
    limitedBy: wave.limitedBy ?? {},
    values: { ...wave.values, thd, sinadDb, depthFundamental, flatTopRatio },
    notes: wave.notes,
    uncertainty: {
      ...wave.uncertainty,
      thd: kept.thd ?? null,
      sinadDb: kept.sinadDb ?? null,
      depthFundamental: kept.depthFundamental ?? null,
      flatTopRatio: kept.flatTopRatio ?? null,
    },
  }
}

function withTone(input: AmInput, toneHz: number): AmResult {
  const { modulated, noisePower, passHz } = input
  const whole = complexCycle(modulated.re, modulated.im, modulated.rateHz, toneHz, passHz)
  const lineNoise = Math.sqrt((noisePower * whole.noiseGain) / whole.lines.length)
  const cycle = withoutNoiseLines(whole, true, () => lineNoise)
  const spur = spurAtCentre(cycle, input)
  const { re, im } = drawComplex(cycle)
  const carrierPhase = phaseOf(cycle)
  const inPhase = re.map((x, n) => x * Math.cos(carrierPhase) + im[n]! * Math.sin(carrierPhase))
  // Where next to nothing is left, ripple of the channel would be counted as carrier if its size were taken.
  const size = re.map((x, n) => Math.hypot(x, im[n]!))
  const small = NEXT_TO_NOTHING * extremes(size).max
  const envelope = size.map((y, n) => (y > small ? y : Math.abs(inPhase[n]!)))
  const { max, min } = extremes(envelope)
  const mean = extremes(size.map((y, n) => (y > small ? y : inPhase[n]!))).mean
  const sync = extremes(inPhase)
  const pointNoise = Math.sqrt((noisePower * cycle.noiseGain) / 2)
  const flips = sync.min < -Math.max(REVERSED * mean, 6 * pointNoise)
  const fit = flips ? null : fitFlanks(envelope, max)
  const pinchedRatio = flips ? 0 : pinchedShare(envelope, fit, Math.max(0.01 * mean, 3 * pointNoise))
  const flatTopRatio = flatTopShare(envelope, fit, max)
  const crest = flatTopRatio > 0 ? plateau(envelope, flatTopRatio) : max
  const lines = linesOfCycle(
    flips ? inPhase : envelope,
    Math.min(cycle.harmonics, Math.max(2, Math.floor(AM_AUDIO_HZ / toneHz))),
  )
  const power = Math.max(meanPower(modulated) - noisePower, 1e-30)
  const apart = withoutTone(
    envelopeSeries(middlePart(modulated, MOST_AVERAGED), flips, carrierPhase),
    modulated.rateHz,
    toneHz,
  )
  const trough = pinchedRatio > 0 || flips ? 0 : Math.max(0, min)
  const values: AmFigures = {
    depthPositive: crest / mean - 1,
    depthNegative: 1 - trough / mean,
    depthTrough: (crest - trough) / Math.max(crest + trough, 1e-30),
    depthFundamental: lineAmplitude(lines[1]!) / mean,
    peaks: null,
    tonesHz: [toneHz],
    pinchedRatio,
    flatTopRatio,
    pepDbfs: ratioToDb(crest * crest),
    meanPowerDbfs: ratioToDb(power),
    pepToCarrier: (crest / mean) ** 2,
    meanToCarrier: power / (mean * mean),
    audioHz: toneHz,
    thd: distortionOf(lines),
    sinadDb: sinadOf(apart, 20, Math.min(AM_AUDIO_HZ, passHz)),
    unmodulated: againstBare(bareCarrier(input), crest, trough, mean),
    depthSynchronous: flips ? (sync.max - sync.min) / (2 * sync.mean) : null,
  }
  const noise = cycleNoise(apart, cycle, mean)
  return {
    values,
    uncertainty: uncertaintyOf(values, noise, Math.hypot(input.edgeRatio, spur / mean), input),
    limitedBy: limitsOf(values, noise, spur / mean, input),
    notes: [
      ...shapeNotes(values, flips, fit !== null && flatTopRatio > 0 ? fit.mean + fit.swing : null, crest),
      ...(spur > 0
        ? [
            note(
              'spur-on-tone',
              `At the centre of the recording stands a line that the other sideband does not have, ${((100 * spur) / mean).toFixed(1)} % of the carrier: an offset of the receiver on a multiple of the tone. Depths are uncertain by it; tune beside the carrier by another amount.`,
            ),
          ]
        : []),
      ...referenceNotes(values),
    ],
    meanEnvelope: mean,
    meanUncertaintyRatio: noise.mean,
    cycle: { envelope, inPhase },
  }
}

/** A side line is not its own from this share of its mirror on; and from this many times its noise. */
const UNLIKE = 0.02
const SEEN_ABOVE = 5

/**
 * Amplitude of what an offset of the receiver puts on a multiple of the tone: sidebands of AM are alike, a
 * spur stands on one side.
 */
function spurAtCentre(
  { lines, harmonics, toneHz, samples }: Cycle,
  { centreHz, noisePower, modulated }: AmInput,
): number {
  if (centreHz === null) return 0
  const order = Math.round(centreHz / toneHz)
  if (
    order === 0 ||
    Math.abs(order) > harmonics ||
    Math.abs(centreHz - order * toneHz) > (4 * modulated.rateHz) / samples
  )
    return 0
  const excess = Math.abs(lineAmplitude(lines[harmonics + order]!) - lineAmplitude(lines[harmonics - order]!))
  const noise = Math.sqrt((noisePower * 1.5) / samples)
  return excess > Math.max(SEEN_ABOVE * noise, UNLIKE * lineAmplitude(lines[harmonics - order]!)) ? excess : 0
}

const phaseOf = ({ lines, harmonics }: Cycle) => Math.atan2(lines[harmonics]!.im, lines[harmonics]!.re)

function envelopeSeries(series: Series, flips: boolean, phase: number): Float64Array {
  const [c, s] = [Math.cos(phase), Math.sin(phase)]
  return flips ? Float64Array.from(series.re, (x, n) => x * c + series.im[n]! * s) : envelopeOf(series)
}

/**
 * What the uncertainties of a tone are made of: noise of the harmonics that make up the cycle, against the
 * mean.
 */
interface CycleNoise {
  /** of the mean itself */ readonly mean: number
  /** of the fundamental */ readonly tone: number
  /** of crest or trough against the carrier */ readonly crest: number
  readonly seconds: number
}

/**
 * Noise of the envelope beside each harmonic that is kept, as it stands in the demodulated envelope: a
 * receiver may shape it.
 */
function cycleNoise({ residual, rateHz }: ToneApart, cycle: Cycle, mean: number): CycleNoise {
  const perHz = noisePerHz(residual, null, rateHz)
  const seconds = cycle.samples / rateHz
  const line = (k: number) => lineDeviation(perHz(Math.max(k * cycle.toneHz, 60)), seconds) / mean
  const kept = Array.from({ length: cycle.harmonics }, (_, k) => k + 1).filter(k =>
    [k, -k].some(n => lineAmplitude(cycle.lines[cycle.harmonics + n]!) > 0),
  )
  return { mean: line(0) / Math.SQRT2, tone: line(1), crest: Math.hypot(...kept.map(line)), seconds }
}

function uncertaintyOf(
  v: AmFigures,
  noise: CycleNoise,
  others: number,
  input: AmInput,
): Measured<AmFigures>['uncertainty'] {
  const { modulated, noisePower, toneHz } = input
  const of = (own: number, times: number) => Math.hypot(own, times * noise.mean, others, FLOOR)
  const depth = v.depthFundamental ?? 0
  const [crest, trough] = [of(noise.crest, v.depthPositive), of(noise.crest, v.depthNegative)]
  const db = 20 / Math.LN10
  const power = 10 ** (v.meanPowerDbfs / 10)
  const partialCycle =
    (2 * depth) /
    (1 + depth ** 2 / 2) /
    ((2 * Math.PI * (toneHz ?? 1000) * modulated.re.length) / modulated.rateHz)
  return {
    depthPositive: crest,
    depthNegative: trough,
    depthTrough: of(noise.tone, depth),
    depthFundamental: of(noise.tone, depth),
    pinchedRatio: v.pinchedRatio > 0 ? 2 * crest + 0.002 : crest,
    flatTopRatio: (v.flatTopRatio ?? 0) > 0 ? 4 * crest + 0.004 : crest,
    pepDbfs: (db * Math.hypot(noise.crest, noise.mean, others, FLOOR)) / (1 + v.depthPositive),
    meanPowerDbfs:
      (db / 2) *
      Math.hypot(
        2 * FLOOR,
        partialCycle,
        Math.sqrt((2 * noisePower) / power / modulated.re.length),
        (NOISE_KNOWN_TO * noisePower) / power,
        input.noiseDoubt / power,
        2 * noise.mean,
      ),
    pepToCarrier: 2 * (1 + v.depthPositive) * crest,
    meanToCarrier: 2 * v.meanToCarrier * Math.hypot(noise.mean, partialCycle / 2, FLOOR),
    tonesHz: v.tonesHz.map(() => frequencyDeviation(noise.tone / Math.max(depth, 0.01), noise.seconds)),
    audioHz: toneHz === null ? null : frequencyDeviation(noise.tone / Math.max(depth, 0.01), noise.seconds),
    thd: v.thd === null ? null : Math.hypot(noise.crest, FLOOR) / Math.max(depth, 0.01),
    sinadDb: v.sinadDb === null ? null : 0.2,
    depthSynchronous: v.depthSynchronous === null ? null : crest,
    unmodulated: ofUnmodulated(v, bareCarrier(input), { crest, trough, mean: of(noise.mean, 1) }),
  }
}

/** Depths as they are read: against the unmodulated carrier where it is known. */
function limitsOf(
  v: AmFigures,
  noise: CycleNoise,
  spurRatio: number,
  input: AmInput,
): Measured<AmFigures>['limitedBy'] {
  const gain = bareCarrier(input)?.uncertainty ?? 0
  const of = (size: number) =>
    largestPart({
      noise: Math.hypot(noise.crest, size * noise.mean),
      neighbour: input.edgeRatio,
      recorder: Math.hypot(FLOOR, spurRatio),
      gain: gain * (1 + size),
    })
  return { depthPositive: of(v.depthPositive), depthNegative: of(v.depthNegative), audioHz: 'noise' }
}

function shapeNotes(v: AmFigures, flips: boolean, impliedCrest: number | null, crest: number): Note[] {
  return [
    ...(flips
      ? [
          note(
            'phase-reversal',
            'The carrier reverses its phase at the trough (a balanced modulator): it is over-modulated, not pinched off. depthSynchronous tells how far.',
          ),
        ]
      : []),
    ...(v.pinchedRatio > 0
      ? [
          note(
            'pinched-off',
            `The carrier is pinched off ${(100 * v.pinchedRatio).toFixed(1)} % of the time: the depth shown at the trough cannot exceed 100 %.`,
          ),
        ]
      : []),
    ...(impliedCrest !== null
      ? [
          note(
            'flat-topped',
            `The crest lies ${(20 * Math.log10(impliedCrest / crest)).toFixed(1)} dB below what the flanks imply.`,
          ),
          note(
            'pep-disagrees',
            `PEP alone would say ${(100 * v.depthPositive).toFixed(0)} %, the trough says ${(100 * v.depthNegative).toFixed(0)} %.`,
          ),
        ]
      : []),
  ]
}
