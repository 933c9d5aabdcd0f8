import { CoreError } from '../../errors'

/** Motional and shunt capacitance of a crystal [F]. */
export interface CrystalCut {
  readonly motionalF: number
  readonly shuntF: number
}

/**
 * How far a load capacitance pulls a crystal above series resonance.
 *
 * @param cut C1 and C0 [F], > 0
 * @param loadF CL [F], > 0
 * @returns df/f [ratio]; more capacitance gives less
 * @throws {CoreError} out-of-range
 * Source: df/f = C1 / (2 (C0 + CL)), parallel resonance (standard textbook formula, from memory).
 * @example pullRatio({ motionalF: 20e-15, shuntF: 5e-12 }, 20e-12) * 1e6 // => 400 ppm
 */
export function pullRatio(cut: CrystalCut, loadF: number): number {
  if (!(cut.motionalF > 0 && cut.shuntF > 0 && loadF > 0))
    throw new CoreError('out-of-range', `CL = ${loadF} F`)
  return cut.motionalF / (2 * (cut.shuntF + loadF))
}

/**
 * The load that pulls a crystal by this ratio; inverse of {@link pullRatio}.
 * @throws {CoreError} out-of-range (no such load)
 */
export function loadForPull(cut: CrystalCut, ratio: number): number {
  const loadF = cut.motionalF / (2 * ratio) - cut.shuntF
  if (!(ratio > 0 && loadF > 0)) throw new CoreError('out-of-range', `${ratio * 1e6} ppm`)
  return loadF
}

/**
 * A coil in series with the load capacitance makes it look larger: it lowers the crystal.
 * @returns effective load [F]
 * @throws {CoreError} out-of-range (at or past series resonance of coil and capacitor)
 * Source: X = wL - 1/(wC) = -1/(w C'), so C' = C / (1 - w^2 L C).
 * @example effectiveLoadF(25e-12, 2e-6, 10.695e6) // => 32.3 pF
 */
export function effectiveLoadF(loadF: number, inductanceH: number, frequencyHz: number): number {
  const nearness = (2 * Math.PI * frequencyHz) ** 2 * inductanceH * loadF
  if (!(nearness < 1)) throw new CoreError('out-of-range', `${inductanceH} H, ${loadF} F, ${frequencyHz} Hz`)
  return loadF / (1 - nearness)
}
