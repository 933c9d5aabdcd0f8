import { meanPower, middlePart, envelopeOf, type Series } from '../series'
import { distortionOf, linesOfCycle, complexCycle, withoutNoiseLines, MIN_CYCLES } from '../tone/cycle'
import { lineAmplitude } from '../tone/lines'
import { ratioToDb, type AmFigures } from '../result'
import { MAX_AVERAGED, sinadOf, withoutTone } from '../audio/sinad'
import { AM_AUDIO_HZ, againstBare, bareCarrier, referenceNotes, type AmInput, type AmResult } from './amInput'
import { cycleNoise, limitsOf, uncertaintyOf } from './amUncertainty'
import { amWaveform } from './amWaveform'
import { drawnEnvelope, shapeNotes, type DrawnEnvelope } from './drawnEnvelope'
import { spurAtCentre, spurNotes } from './spurOnTone'

/** Hum smaller than this against the carrier does not move a peak that is worth a word. */
const HUM_SEEN = 0.002
/** SINAD of the envelope counts from here [Hz]. */
const SINAD_FROM_HZ = 20

/**
 * Everything about amplitude modulation (C01 to C05). With a steady tone that explains it the envelope is
 * averaged over its cycles, so that crest and trough carry no noise; anything else, and a tone with hum
 * beside it, is judged by the waveform as it was sent.
 * @param input channel about the carrier at 0 Hz, its envelope, noise and what is known of carrier and tone
 * @returns depths as ratios, 1 = the carrier doubled or gone; powers in dBFS; null where one has no meaning
 * Limits: beyond 100 % down the envelope folds back; the phase of the carrier tells where (drawnEnvelope).
 */
export function amFigures(input: AmInput): AmResult {
  const { modulated, toneHz, hum } = input
  const steady = toneHz !== null && (toneHz * modulated.re.length) / modulated.rateHz >= MIN_CYCLES
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

/** AM with one tone: everything from its cycle. */
function withTone(input: AmInput, toneHz: number): AmResult {
  const { modulated, noisePower, passHz } = input
  const whole = complexCycle(modulated.re, modulated.im, modulated.rateHz, toneHz, passHz)
  const lineNoise = Math.sqrt((noisePower * whole.noiseGain) / whole.lines.length)
  const cycle = withoutNoiseLines(whole, true, () => lineNoise)
  const drawn = drawnEnvelope(cycle, Math.sqrt((noisePower * cycle.noiseGain) / 2))
  const { mean, envelope, inPhase } = drawn
  const apart = withoutTone(
    envelopeSeries(middlePart(modulated, MAX_AVERAGED), drawn),
    modulated.rateHz,
    toneHz,
  )
  const harmonics = Math.min(cycle.harmonics, Math.max(2, Math.floor(AM_AUDIO_HZ / toneHz)))
  const lines = linesOfCycle(drawn.flips ? inPhase : envelope, harmonics)
  const values: AmFigures = {
    ...shapeFigures(input, drawn),
    depthFundamental: lineAmplitude(lines[1]!) / mean,
    tonesHz: [toneHz],
    audioHz: toneHz,
    thd: distortionOf(lines),
    sinadDb: sinadOf(apart, SINAD_FROM_HZ, Math.min(AM_AUDIO_HZ, passHz)),
  }
  const noise = cycleNoise(apart, cycle, mean)
  const spurRatio = spurAtCentre(cycle, input) / mean
  return {
    values,
    uncertainty: uncertaintyOf(values, noise, Math.hypot(input.edgeRatio, spurRatio), input),
    limitedBy: limitsOf(values, noise, spurRatio, input),
    notes: [...shapeNotes(values, drawn), ...spurNotes(spurRatio), ...referenceNotes(values)],
    meanEnvelope: mean,
    meanUncertaintyRatio: noise.mean,
    cycle: { envelope, inPhase },
  }
}

type ShapeFigures = Omit<AmFigures, 'depthFundamental' | 'tonesHz' | 'audioHz' | 'thd' | 'sinadDb'>

/** Figures that the drawn cycle tells without its lines. */
function shapeFigures(input: AmInput, drawn: DrawnEnvelope): ShapeFigures {
  const { crest, trough, mean, pinchedRatio, flatTopRatio } = drawn
  const power = Math.max(meanPower(input.modulated) - input.noisePower, 1e-30)
  return {
    depthPositive: crest / mean - 1,
    depthNegative: 1 - trough / mean,
    depthTrough: (crest - trough) / Math.max(crest + trough, 1e-30),
    peaks: null,
    pinchedRatio,
    flatTopRatio,
    pepDbfs: ratioToDb(crest * crest),
    meanPowerDbfs: ratioToDb(power),
    pepToCarrier: (crest / mean) ** 2,
    meanToCarrier: power / (mean * mean),
    unmodulated: againstBare(bareCarrier(input), crest, trough, mean),
    depthSynchronous: drawn.flips ? drawn.synchronous : null,
  }
}

/** The envelope sample by sample; of a phase that flips, what stands along the carrier. */
function envelopeSeries(series: Series, { flips, phase }: DrawnEnvelope): Float64Array {
  const [c, s] = [Math.cos(phase), Math.sin(phase)]
  return flips ? Float64Array.from(series.re, (x, n) => x * c + series.im[n]! * s) : envelopeOf(series)
}
