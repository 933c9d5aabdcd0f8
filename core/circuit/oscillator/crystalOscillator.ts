import { between, decay, type CircuitPart } from '../part'
import { inductanceRatio } from '../tuned/coreLaw'
import { effectiveLoadF, loadForPull, pullRatio, type CrystalCut } from './crystal'

/** A crystal oscillator with what pulls it. */
export interface CrystalOscillator {
  readonly nominalHz: number
  readonly cut: CrystalCut
  /** load at which the crystal is on its nominal frequency [F] */
  readonly designF: number
  /** fixed capacitance and the travel of the trimmer [F] */
  readonly fixedF: number
  readonly trimmerF: { readonly min: number; readonly max: number }
  /** coil in series [H], 0 = none, and its change per turn inwards [ratio] */
  readonly coilH: number
  readonly coilPerTurn: number
  /** ageing [ppm], usually negative */
  readonly ageingPpm: number
  /** where it starts cold, and how fast that dies away */
  readonly warmUpPpm: number
  readonly warmUpS: number
  /** [ppm/K] from 25 deg C */
  readonly tempcoPpmPerK: number
}

export interface OscillatorInput {
  /** trimmer 0 (least capacitance) to 1; beyond its stops it does not go */
  readonly trimmer: number
  /** core, turns inwards */
  readonly turns: number
  readonly ambientC: number
}

/** Share of the warm-up still to go, 1 = cold. */
export interface OscillatorMemory {
  readonly coldShare: number
}

/**
 * Frequency [Hz] of a crystal oscillator: pulling by its load, ageing, warm-up (exponential) and temperature,
 * added in ppm.
 * Source: pullRatio; AT-cut temperature taken as a line, good to a few kelvin around the shop's 25 deg C.
 */
export const crystalOscillator: CircuitPart<CrystalOscillator, OscillatorInput, number, OscillatorMemory> = {
  kind: 'crystal oscillator',
  rest: () => ({ coldShare: 1 }),
  respond: (p, { trimmer, turns, ambientC }, { coldShare }) => {
    const ppm = p.ageingPpm + p.warmUpPpm * coldShare + p.tempcoPpmPerK * (ambientC - 25)
    return (
      p.nominalHz *
      (1 + pullRatio(p.cut, loadAt(p, trimmer, turns)) - pullRatio(p.cut, designLoadF(p)) + ppm * 1e-6)
    )
  },
  pass: ({ warmUpS }, _input, { coldShare }, dtS) => ({ coldShare: coldShare * decay(dtS, warmUpS) }),
}

/** The load as it stands [F]. */
function loadAt(p: CrystalOscillator, trimmer: number, turns: number): number {
  const capacitanceF = p.fixedF + p.trimmerF.min + between(0, 1, trimmer) * (p.trimmerF.max - p.trimmerF.min)
  return p.coilH > 0
    ? effectiveLoadF(capacitanceF, p.coilH * inductanceRatio(p.coilPerTurn, turns), p.nominalHz)
    : capacitanceF
}

/** The design load, its coil in the middle. */
function designLoadF(p: CrystalOscillator): number {
  return p.coilH > 0 ? effectiveLoadF(p.designF, p.coilH, p.nominalHz) : p.designF
}

/**
 * Where the trimmer has to stand for a frequency, warm and at 25 deg C.
 * @returns 0..1; the nearer stop when it does not reach
 * @throws {CoreError} out-of-range (no load at all gives that frequency)
 */
export function trimmerFor(p: CrystalOscillator, frequencyHz: number): number {
  const loadF = loadForPull(
    p.cut,
    frequencyHz / p.nominalHz - 1 + pullRatio(p.cut, p.designF) - p.ageingPpm * 1e-6,
  )
  return between(0, 1, (loadF - p.fixedF - p.trimmerF.min) / (p.trimmerF.max - p.trimmerF.min))
}
