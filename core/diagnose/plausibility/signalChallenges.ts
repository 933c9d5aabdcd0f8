import {
  powerDb,
  dbToPowerRatio,
  dbmToVolts,
  expandedUncertainty,
  voltsToDbm,
  type Reading,
} from '../../quantity'
import { SPEECH_HZ, receiverTest, type GeneratorModulation, type ReceiverTest } from '../../sheet'
import { readingIn, type Challenge, type RowUnderDoubt } from './challenge'

/** Thermal noise at 290 K [dBm/Hz]. Source: k T with k = 1.380649e-23 J/K (SI, exact). */
const THERMAL_DBM_PER_HZ = powerDb((1.380649e-23 * 290) / 1e-3)
/**
 * Audio bandwidth of the FM law, and what de-emphasis and a weighting filter may add to it [Hz, dB] (from
 * memory).
 */
const FM_AUDIO_HZ = 3000
const FM_FAVOUR_DB = 7
/**
 * Bandwidth of an ear that listens for one tone [Hz] (common practice): a tone is heard where it
 * equals the noise in it.
 */
const EAR_HZ = 100
/** Signal over noise that a criterion asks for: 12 dB SINAD and 10 dB (S+N)/N, both less the noise itself. */
const SIGNAL_TO_NOISE: Readonly<Record<ReceiverTest['criterion'], number>> = {
  'sinad-12': 10 ** 1.2 - 1,
  'signal-noise-10': 9,
}
/** Deviation without a tone that is still noise and hum of a healthy set (common practice) [Hz]. */
const MAX_RESIDUAL_HZ = 100
const boundOf = (r: Reading) => expandedUncertainty(r) ?? 0
const BARE: GeneratorModulation = { kind: 'none' }
const SPEECH_TEST: ReceiverTest = { modulation: BARE, criterion: 'sinad-12', bandwidthHz: SPEECH_HZ }

/**
 * Audio signal to noise over carrier to noise, both in one bandwidth, of a noiseless receiver [dB].
 * Source: a bare carrier on sideband 1; AM with envelope detector m^2 / 2 (C27); FM 1.5 (deviation /
 * bandwidth)^2 (C28), which below the threshold is too kind.
 * @example detectionDb({ kind: 'am', depthRatio: 0.3 }) // => -13.5
 */
export function detectionDb(modulation: GeneratorModulation): number {
  switch (modulation.kind) {
    case 'none':
      return 0
    case 'am':
      return powerDb(modulation.depthRatio ** 2 / 2)
    case 'fm':
      return powerDb(1.5 * (modulation.deviationHz / FM_AUDIO_HZ) ** 2) + FM_FAVOUR_DB
  }
}

/**
 * Least input that physics allows for a criterion: a noiseless receiver as wide as the test says, 2.4 kHz if
 * it does not.
 * @returns pd into 50 ohm [V]; for 12 dB SINAD of a bare carrier about 0.085 uV, of AM 30 % 0.40 uV
 * Source: SINAD = 1 + S/N, N = kTB.
 */
export function minSensitivityV(test: ReceiverTest = SPEECH_TEST): number {
  const neededDb = powerDb(SIGNAL_TO_NOISE[test.criterion]) - detectionDb(test.modulation)
  return dbmToVolts(THERMAL_DBM_PER_HZ + powerDb(test.bandwidthHz) + neededDb)
}

/** Least input at which an ear hears the tone: as strong as the noise in the ear's own bandwidth [V]. */
export function minAudibleV(modulation: GeneratorModulation): number {
  return dbmToVolts(THERMAL_DBM_PER_HZ + powerDb(EAR_HZ) - detectionDb(modulation))
}

/**
 * Largest SINAD that physics allows at an input: a noiseless receiver as wide as the test says, 2.4 kHz if it
 * does not.
 * @param inputV pd into 50 ohm [V], > 0
 * @returns [dB]
 * Source: SINAD = 10 log(1 + S/N), N = kTB.
 * @example maxSinadDb(dbmToVolts(-134)) // => 7.1
 */
export function maxSinadDb(
  inputV: number,
  { modulation, bandwidthHz }: Pick<ReceiverTest, 'modulation' | 'bandwidthHz'> = SPEECH_TEST,
): number {
  const signalToNoiseDb =
    voltsToDbm(inputV) - (THERMAL_DBM_PER_HZ + powerDb(bandwidthHz)) + detectionDb(modulation)
  return powerDb(1 + dbToPowerRatio(signalToNoiseDb))
}

function sinadBeyondPhysics(row: RowUnderDoubt): Challenge[] {
  const sinad = readingIn(row, 'sinadDb')
  const { inputV } = row.conditions
  if (!sinad || !inputV || row.point.state.keyed) return []
  const maxDb = maxSinadDb(inputV, receiverTest(row.point))
  const minDb = sinad.value - boundOf(sinad)
  return minDb > maxDb ? [{ rule: 'P01', quantity: 'sinadDb', readDb: sinad.value, maxDb, inputV }] : []
}

function sensitivityBeyondPhysics(row: RowUnderDoubt): Challenge[] {
  const test = receiverTest(row.point)
  return (['sensitivityV', 'audibleV'] as const).flatMap(quantity => {
    const reading = readingIn(row, quantity)
    const minV = quantity === 'audibleV' ? minAudibleV(test.modulation) : minSensitivityV(test)
    return reading && reading.bound !== 'at-most' && reading.value + boundOf(reading) < minV
      ? [{ rule: 'P33', quantity, readV: reading.value, minV, test } as const]
      : []
  })
}

/**
 * A receiver better than physics (P01, P33: leakage, wrong port, unit) and deviation without a tone (P37:
 * hum).
 */
export function signalChallenges(row: RowUnderDoubt): Challenge[] {
  const out: Challenge[] = [...sinadBeyondPhysics(row), ...sensitivityBeyondPhysics(row)]
  if (row.conditions.toneHz !== null || row.conditions.mode !== 'FM') return out
  for (const quantity of ['deviationPositiveHz', 'deviationNegativeHz'] as const) {
    const reading = readingIn(row, quantity)
    if (reading && reading.value - boundOf(reading) > MAX_RESIDUAL_HZ)
      out.push({ rule: 'P37', quantity, readHz: reading.value })
  }
  return out
}
