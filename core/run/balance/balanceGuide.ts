import { fitLineUp, readBand, type BandPass, type CoilTurns, type LineUp } from './lineUp'

/** What to turn before the next round, and what stands. */
export interface BalanceMove {
  readonly spreadDb: number
  readonly met: boolean
  /** the weak end; both = peaked too sharply, none = inside */
  readonly weakEnd: 'low' | 'high' | 'both' | 'none'
  /** null = nothing to turn */
  readonly turns: CoilTurns | null
}

/** Nobody turns a core further in one go [turns]. */
const MAX_TURN = 0.5
/** Places tried for the distance of the two circuits, up to so many halves of the band. */
const PLACES = 150
const MAX_APART = 3
/** Aimed at, of the limit: what a hand of 20 % and a reading leave must still be inside. */
const AIM_SHARE = 0.3

export function passSpread({ lowDb, highDb }: BandPass): number {
  return Math.max(0, lowDb, highDb) - Math.min(0, lowDb, highDb)
}

/**
 * The next movement of two neighbouring coils: both to the middle of the band, and as far apart as makes ends
 * and middle alike, by the line-up that explains the rounds so far.
 *
 * @param passes rounds over the band, oldest first
 * @param moves what was turned between them, one less
 * @param halfBand half the width of the band, as a ratio of its middle
 * @param limitDb spread of the sheet
 * Source: two single tuned circuits staggered about the middle (C36); common practice: one coil towards the
 * weak end, its neighbour the other way. Limits: assumes that the turns were made about as told; a coil at
 * its stop, or a dead one, is met by words and not by numbers.
 */
export function balanceMove(
  passes: readonly BandPass[],
  moves: readonly CoilTurns[],
  halfBand: number,
  limitDb: number,
): BalanceMove | null {
  const now = passes.at(-1)
  if (!now) return null
  const spreadDb = passSpread(now)
  if (spreadDb <= limitDb) return { spreadDb, met: true, weakEnd: 'none', turns: null }
  const tilt = now.highDb - now.lowDb
  const lowerEnd = tilt > 0 ? 'low' : 'high'
  const weakEnd = Math.abs(tilt) < limitDb / 2 ? 'both' : lowerEnd
  const line = fitLineUp(passes, moves, halfBand)
  const apart = minApart(line, halfBand, limitDb * AIM_SHARE) * (line.apart < 0 ? -1 : 1)
  // Inwards lowers: what is too high is turned in.
  const common = line.common / line.perTurn
  const spread = (line.apart - apart) / line.perTurn
  return {
    spreadDb,
    met: false,
    weakEnd,
    turns: { first: held(common + spread), second: held(common - spread) },
  }
}

const held = (turns: number) => Math.max(-MAX_TURN, Math.min(MAX_TURN, turns))

/** The smallest distance that is flat enough, since distance costs power; the flattest one when none is. */
function minApart(line: LineUp, halfBand: number, aimDb: number): number {
  let best = { apart: 0, spreadDb: Infinity }
  for (let i = 0; i <= PLACES; i++) {
    const apart = (MAX_APART * halfBand * i) / PLACES
    const spreadDb = passSpread(readBand({ ...line, common: 0, apart }, halfBand))
    if (spreadDb <= aimDb) return apart
    if (spreadDb < best.spreadDb) best = { apart, spreadDb }
  }
  return best.apart
}
