import { CoreError } from '../errors'

/** Motional and shunt capacitance of a crystal [F]. */
export interface CrystalCut { readonly motionalF: number, readonly shuntF: number }

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
  if (!(cut.motionalF > 0 && cut.shuntF > 0 && loadF > 0)) throw new CoreError('out-of-range', `load ${loadF} F`)
  return cut.motionalF / (2 * (cut.shuntF + loadF))
}

/** A crystal oscillator with its trimmer. */
export interface CrystalOscillator {
  readonly nominalHz: number
  readonly cut: CrystalCut
  /** fixed capacitance and the travel of the trimmer [F] */
  readonly fixedF: number
  readonly trimmerF: { readonly min: number, readonly max: number }
  /** load at which the crystal is on its nominal frequency [F] */
  readonly designF: number
  /** ageing [ppm], usually negative */
  readonly ageingPpm: number
}

/**
 * @param oscillator its data
 * @param position of the trimmer, 0 (least capacitance) to 1; beyond its stops it does not go
 * @param driftPpm momentary drift, e.g. warm-up
 * @returns frequency [Hz]
 */
export function oscillatorHz(oscillator: CrystalOscillator, position: number, driftPpm: number): number {
  const { cut, fixedF, trimmerF, designF, nominalHz, ageingPpm } = oscillator
  const turned = Math.min(1, Math.max(0, position))
  const loadF = fixedF + trimmerF.min + turned * (trimmerF.max - trimmerF.min)
  return nominalHz * (1 + pullRatio(cut, loadF) - pullRatio(cut, designF) + (ageingPpm + driftPpm) * 1e-6)
}

/** Warm-up: starts at startPpm and dies away exponentially. @param onTimeS since power-on [s], >= 0 */
export function warmUpPpm(startPpm: number, timeConstantS: number, onTimeS: number): number {
  return startPpm * Math.exp(-Math.max(0, onTimeS) / timeConstantS)
}
