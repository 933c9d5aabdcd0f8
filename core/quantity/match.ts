/** Power that a load sends back, and what that comes to. */
export interface Match {
  /** 1 = nothing comes back; Infinity = all of it */
  readonly swr: number
  /** reflected over forward power, 0..1 */
  readonly reflectedRatio: number
  /** by which the net power lies below the forward power [dB] */
  readonly lossDb: number
}

const ofRho = (rho: number): Match => ({
  swr: rho < 1 ? (1 + rho) / (1 - rho) : Infinity,
  reflectedRatio: rho ** 2,
  lossDb: rho < 1 ? 10 * Math.log10(1 / (1 - rho ** 2)) : Infinity,
})

/**
 * SWR by forward and reflected power: rho = sqrt(Pr / Pf), SWR = (1 + rho) / (1 - rho).
 * Source: C35. Limits: powers of one line of one impedance, at one place.
 * @param forwardW above 0 [W]
 * @param reflectedW 0 to forwardW [W]
 */
export const matchByPower = (forwardW: number, reflectedW: number): Match =>
  ofRho(Math.sqrt(reflectedW / forwardW))

/** The same by the SWR. @param swr 1 or more */
export const matchBySwr = (swr: number): Match => ({ ...ofRho((swr - 1) / (swr + 1)), swr })
