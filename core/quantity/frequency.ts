import { CoreError } from '../errors'

/**
 * @param errorHz measured minus nominal [Hz]
 * @param nominalHz [Hz], > 0
 * @returns relative error [ppm]
 * @throws {CoreError} out-of-range
 * Source: definition, ppm = error / nominal x 1e6.
 */
export function hzToPpm(errorHz: number, nominalHz: number): number {
  if (!(nominalHz > 0) || !Number.isFinite(errorHz))
    throw new CoreError('out-of-range', `${errorHz} Hz / ${nominalHz} Hz`)
  return (errorHz / nominalHz) * 1e6
}

/**
 * @param errorPpm [ppm]
 * @param nominalHz [Hz], > 0
 * @returns [Hz]
 * @throws {CoreError} out-of-range
 */
export function ppmToHz(errorPpm: number, nominalHz: number): number {
  if (!(nominalHz > 0) || !Number.isFinite(errorPpm))
    throw new CoreError('out-of-range', `${errorPpm} ppm × ${nominalHz} Hz`)
  return errorPpm * nominalHz * 1e-6
}
