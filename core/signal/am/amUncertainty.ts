import { dbToPowerRatio } from '../../quantity'
import { largestPart } from '../limits'
import { NOISE_KNOWN_TO, type AmFigures, type Measured } from '../result'
import type { Cycle } from '../tone/cycle'
import { lineAmplitude } from '../tone/lines'
import { frequencyDeviation, lineDeviation, noisePerHz } from '../tone/noisePerHz'
import type { ToneApart } from '../audio/sinad'
import { bareCarrier, ofUnmodulated, type AmInput } from './amInput'

/**
 * Filter ripple, rounding and the harmonics that the channel does not hold: what is left without any noise
 * [ratio].
 */
const FLOOR = 4e-5
/** Below this the noise of an envelope is not told from the carrier [Hz]. */
const LOWEST_HZ = 60

/**
 * What the uncertainties of a tone are made of: noise of the harmonics that make up the cycle, against the
 * mean.
 */
export interface CycleNoise {
  /** of the mean itself */
  readonly mean: number
  /** of the fundamental */
  readonly tone: number
  /** of crest or trough against the carrier */
  readonly crest: number
  readonly seconds: number
}

/**
 * Noise of the envelope beside each harmonic that is kept, as it stands in the demodulated envelope: a
 * receiver may shape it.
 */
export function cycleNoise({ residual, rateHz }: ToneApart, cycle: Cycle, mean: number): CycleNoise {
  const perHz = noisePerHz(residual, null, rateHz)
  const seconds = cycle.samples / rateHz
  const line = (k: number) => lineDeviation(perHz(Math.max(k * cycle.toneHz, LOWEST_HZ)), seconds) / mean
  const kept = Array.from({ length: cycle.harmonics }, (_, k) => k + 1).filter(k =>
    [k, -k].some(n => lineAmplitude(cycle.lines[cycle.harmonics + n]!) > 0),
  )
  return { mean: line(0) / Math.SQRT2, tone: line(1), crest: Math.hypot(...kept.map(line)), seconds }
}

/** @param others what a spur and a narrowed channel leave open [ratio] */
export function uncertaintyOf(
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
  const power = dbToPowerRatio(v.meanPowerDbfs)
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
export function limitsOf(
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
