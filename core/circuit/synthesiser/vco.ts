import { inductanceRatio } from '../tuned/coreLaw'

/** An oscillator tuned by a varicap, its coil by a core. */
export interface Vco {
  readonly inductanceH: number
  readonly inductancePerTurn: number
  /** capacitance beside the varicap [F] */
  readonly fixedF: number
  /** varicap at 0 V [F], its junction potential [V] and exponent */
  readonly varicapF: number
  readonly junctionV: number
  readonly exponent: number
}

const TWO_PI = 2 * Math.PI

/**
 * Frequency [Hz] at a control voltage. Source: f = 1/(2 pi sqrt(L C)), C(V) = C0 / (1 + V/phi)^n (textbook
 * varicap, from memory).
 */
export function vcoHz(vco: Vco, controlV: number, turns: number, strayF = 0): number {
  const capacitanceF = vco.fixedF + strayF + vco.varicapF / (1 + controlV / vco.junctionV) ** vco.exponent
  return (
    1 / (TWO_PI * Math.sqrt(vco.inductanceH * inductanceRatio(vco.inductancePerTurn, turns) * capacitanceF))
  )
}

/**
 * Control voltage [V] that makes a frequency; -Infinity or Infinity when no voltage does. Inverse of {@link
 * vcoHz}.
 */
export function vcoControlV(vco: Vco, frequencyHz: number, turns: number, strayF = 0): number {
  const neededF =
    1 / ((TWO_PI * frequencyHz) ** 2 * vco.inductanceH * inductanceRatio(vco.inductancePerTurn, turns)) -
    vco.fixedF -
    strayF
  if (neededF <= 0) return Infinity
  const ratio = vco.varicapF / neededF
  return ratio < 1 ? -Infinity : vco.junctionV * (ratio ** (1 / vco.exponent) - 1)
}

/** Slope at a voltage [Hz/V], by its own curve. */
export function vcoSlopeHzPerV(vco: Vco, controlV: number, turns: number): number {
  return (vcoHz(vco, controlV + 0.005, turns) - vcoHz(vco, controlV - 0.005, turns)) / 0.01
}

/** Coil for which a VCO makes frequencyHz at controlV, core in the middle [H]. */
export function coilFor(vco: Omit<Vco, 'inductanceH'>, frequencyHz: number, controlV: number): number {
  const capacitanceF = vco.fixedF + vco.varicapF / (1 + controlV / vco.junctionV) ** vco.exponent
  return 1 / ((TWO_PI * frequencyHz) ** 2 * capacitanceF)
}
