import { softLimit } from '../amplifier/softLimit'
import { between, memoryless } from '../part'

/** Two output valves in parallel. */
export interface ValvePair {
  /** plate current at full drive, tank off resonance [A], with fresh cathodes */
  readonly driveA: number
  /** idle current with the bias preset in its middle [A], fresh */
  readonly idleA: number
  /** of the cathodes, 1 = fresh */
  readonly emission: number
  /** swing that the plates allow [ratio of the plate voltage] */
  readonly swingRatio: number
  /**
   * dynamic resistance of the plates together [ohm]; Infinity = a current source that does not feel the swing
   */
  readonly plateOhm: number
  /** peak of the fundamental over the mean plate current */
  readonly fundamentalRatio: number
}

export interface ValveInput {
  readonly plateV: number
  /** 0..1 */
  readonly bias: number
  /** 0..1 */
  readonly drive: number
  readonly loadResistanceOhm: number
  readonly loadReactanceOhm: number
  /** heaters, 0 cold to 1 */
  readonly warmth: number
}

export interface ValveState {
  readonly plateA: number
  readonly idleA: number
  /** into the tank [W] */
  readonly tankW: number
  readonly dissipationW: number
}

const KNEE = 3
/** The bias preset moves the idle current by this factor over half its travel. */
const BIAS_REACH = 2.2

/**
 * Plate current, power and dissipation.
 *
 * The swing takes current from the valve in two ways: its dynamic resistance divides the current with the
 * load at every level, and at the knee the plate can go no lower. At resonance the swing is largest, so the
 * plate current dips there, at half carrier too: deeper the lighter the load.
 * Source: P = I1^2 R / 2 with I1 = k Ia; dissipation Va Ia - P (C43, C44); I = Ig Zi / (Zi + Z), the source
 * with its own resistance.
 */
export const valvePair = memoryless(
  'valve pair',
  (
    p: ValvePair,
    { plateV, bias, drive, loadResistanceOhm, loadReactanceOhm, warmth }: ValveInput,
  ): ValveState => {
    const alive = p.emission * between(0, 1, warmth) * (plateV > 0 ? 1 : 0)
    const idleA =
      p.idleA * alive ** 0.5 * between(0, 1, alive * 4) * BIAS_REACH ** (2 * between(0, 1, bias) - 1)
    const offeredA = idleA + Math.max(0, p.driveA * alive - idleA) * between(0, 1, drive)
    const signal =
      offeredA > 0
        ? between(
            0,
            1,
            (offeredA - idleA) / offeredA + (drive > 0 ? (idleA / offeredA) * between(0, 1, drive) : 0),
          )
        : 0
    const sizeOhm = Math.hypot(loadResistanceOhm, loadReactanceOhm)
    const divided = 1 / Math.hypot(1 + loadResistanceOhm / p.plateOhm, loadReactanceOhm / p.plateOhm)
    const askedV = p.fundamentalRatio * offeredA * signal * divided * sizeOhm
    const allowedV = p.swingRatio * plateV
    const held = divided * (askedV > 0 ? (softLimit(askedV / allowedV, KNEE) * allowedV) / askedV : 1)
    const plateA = Math.max(idleA * (1 - signal) + offeredA * signal * held, 0)
    const peakA = p.fundamentalRatio * offeredA * signal * held
    const tankW = Math.min((peakA ** 2 * loadResistanceOhm) / 2, plateV * plateA)
    return { plateA, idleA, tankW, dissipationW: plateV * plateA - tankW }
  },
)
