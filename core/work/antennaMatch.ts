import { matchByPower, matchBySwr, type Match } from '../quantity'
import type { AntennaMatch } from '../run'

/** From here on the antenna is matched first, at reduced power (common practice: 2). */
const HIGH_SWR = 2
/** An SWR read off a scale and that of the powers further apart than this are not of one state [ratio]. */
const AGREES_RATIO = 1.25

/** What was read at the antenna comes to. */
export interface MatchRead extends Match {
  /** the scale says one SWR, the powers another */
  readonly contradicts: boolean
  /** to be matched before the power is raised */
  readonly isHigh: boolean
}

/**
 * SWR and what comes back, by the powers where both were read, else by the scale of SWR.
 * @returns null = neither
 */
export function matchRead({ forwardW, reflectedW, swr }: AntennaMatch): MatchRead | null {
  const byPower =
    forwardW !== null && forwardW > 0 && reflectedW !== null ? matchByPower(forwardW, reflectedW) : null
  const match = byPower ?? (swr === null ? null : matchBySwr(swr))
  if (!match) return null
  const apart = byPower && swr !== null ? Math.max(byPower.swr / swr, swr / byPower.swr) : 1
  return { ...match, contradicts: apart > AGREES_RATIO, isHigh: match.swr >= HIGH_SWR }
}
