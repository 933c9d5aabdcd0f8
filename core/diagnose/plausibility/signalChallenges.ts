import { dbmToVolts, standardToBound, voltsToDbm } from '../../quantity'
import { readingIn, type Challenge, type RowUnderDoubt } from './challenge'

/** Thermal noise at 290 K [dBm/Hz]. Source: k T with k = 1.380649e-23 J/K (SI, exact). */
const THERMAL_DBM_PER_HZ = 10 * Math.log10(1.380649e-23 * 290 / 1e-3)
/** Narrowest audio bandwidth in which such a receiver is measured [Hz]; a wider one needs more signal. */
const NARROWEST_HZ = 2400
/** The criterion of the sheet's sensitivity row [dB]. */
const SINAD_DB = 12
/** Deviation without a tone that is still noise and hum of a healthy set (general trade knowledge) [Hz]. */
const RESIDUAL_MOST_HZ = 100

/**
 * Least input for 12 dB SINAD that physics allows: a noiseless receiver, 2.4 kHz wide.
 * @returns pd into 50 ohm [V], about 0.085 uV
 * Source: SINAD = 1 + S/N, N = kTB.
 */
export function leastSensitivityV(): number {
  const signalToNoise = 10 ** (SINAD_DB / 10) - 1
  return dbmToVolts(THERMAL_DBM_PER_HZ + 10 * Math.log10(NARROWEST_HZ) + 10 * Math.log10(signalToNoise))
}

/**
 * Largest SINAD that physics allows at an input: a noiseless receiver, 2.4 kHz wide.
 * @param inputV pd into 50 ohm [V], > 0
 * @returns [dB]
 * Source: SINAD = 10 log(1 + S/N), N = kTB.
 * @example mostSinadDb(dbmToVolts(-134)) // => 7.1
 */
export function mostSinadDb(inputV: number): number {
  const signalToNoiseDb = voltsToDbm(inputV) - (THERMAL_DBM_PER_HZ + 10 * Math.log10(NARROWEST_HZ))
  return 10 * Math.log10(1 + 10 ** (signalToNoiseDb / 10))
}

function sinadBeyondPhysics(row: RowUnderDoubt): Challenge[] {
  const sinad = readingIn(row, 'sinadDb')
  const { inputV } = row.conditions
  if (!sinad || !inputV) return []
  const mostDb = mostSinadDb(inputV)
  return sinad.value - (sinad.standardUncertainty === null ? 0 : standardToBound(sinad.standardUncertainty)) > mostDb ? [{ rule: 'P01', quantity: 'sinadDb', readDb: sinad.value, mostDb, inputV }] : []
}

/** A receiver better than physics (P01, P33: leakage, wrong port, unit) and deviation without a tone (P37: hum). */
export function signalChallenges(row: RowUnderDoubt): Challenge[] {
  const out: Challenge[] = sinadBeyondPhysics(row)
  const sensitivity = readingIn(row, 'sensitivityV')
  if (sensitivity && sensitivity.value < leastSensitivityV()) out.push({ rule: 'P33', quantity: 'sensitivityV', readV: sensitivity.value, leastV: leastSensitivityV() })
  if (row.conditions.toneHz !== null || row.conditions.mode !== 'FM') return out
  for (const quantity of ['deviationPositiveHz', 'deviationNegativeHz'] as const) {
    const reading = readingIn(row, quantity)
    if (reading && reading.value > RESIDUAL_MOST_HZ) out.push({ rule: 'P37', quantity, readHz: reading.value })
  }
  return out
}
