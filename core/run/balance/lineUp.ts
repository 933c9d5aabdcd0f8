import { powerDb } from '../../quantity'
import { inverse } from '../../numeric/inverse'

/** Power at the ends of the band against the middle [dB], once round. */
export interface BandPass {
  readonly lowDb: number
  readonly highDb: number
}
/** Turns of the two coils, inwards positive (inwards lowers the tuning). */
export interface CoilTurns {
  readonly first: number
  readonly second: number
}

/**
 * Two tuned circuits in a row: loaded Q, what a turn moves, and where they stand now: common detuning and
 * half their distance, as ratios of the middle.
 */
export interface LineUp {
  readonly q: number
  readonly perTurn: number
  readonly common: number
  readonly apart: number
}

/**
 * What is assumed before a round has told: middle and spread (common practice, order of magnitude
 * only). Q and turn are spread by factors.
 */
const PRIOR = { q: 35, qSpread: 0.45, perTurn: 0.03, perTurnSpread: 0.35, common: 0.003, apart: 0.0015 }
/** A round as it is read, and one from before a hand of 20 % turned [dB]. */
const NOW_DB = 0.05
const BEFORE_DB = 0.35
/** Hands turn so far off what they meant [ratio]. */
const HAND = 0.25
const STEPS = 12
type Unknowns = readonly [lnQ: number, lnTurn: number, common: number, apart: number]

/**
 * |H|^2 = 1 / (1 + (2 Q x)^2) of each, at x beside the middle. Source: single tuned circuit near resonance.
 */
function lossDb({ q, common, apart }: LineUp, at: number): number {
  const of = (resonance: number) => 1 + (2 * q * (at - resonance)) ** 2
  return powerDb(of(common + apart) * of(common - apart))
}

/** What a round over the band would read. @param halfBand of the band about its middle [ratio] */
export function readBand(line: LineUp, halfBand: number): BandPass {
  const middle = lossDb(line, 0)
  return { lowDb: middle - lossDb(line, -halfBand), highDb: middle - lossDb(line, halfBand) }
}

/**
 * The line-up that explains the rounds best, with what is usual as the prior: Gauss and Newton on the
 * logarithms of Q and turn and the two places.
 * @param moves between the rounds, one less
 */
export function fitLineUp(
  passes: readonly BandPass[],
  moves: readonly CoilTurns[],
  halfBand: number,
): LineUp {
  const apartTurns = moves.reduce((s, m) => s - (m.first - m.second) / 2, 0)
  let at: Unknowns = [Math.log(PRIOR.q), Math.log(PRIOR.perTurn), 0, apartTurns * PRIOR.perTurn]
  let cost = misfit(residuals(at, passes, moves, halfBand))
  let damping = 1e-3
  for (let i = 0; i < STEPS; i++) {
    const next = stepFrom(at, passes, moves, halfBand, damping)
    const nextCost = misfit(residuals(next, passes, moves, halfBand))
    if (nextCost < cost) [at, cost, damping] = [next, nextCost, damping / 4]
    else damping *= 8
  }
  return lineOf(at)
}

const lineOf = ([lnQ, lnTurn, common, apart]: Unknowns): LineUp => ({
  q: Math.exp(lnQ),
  perTurn: Math.exp(lnTurn),
  common,
  apart,
})
const misfit = (r: readonly number[]) => r.reduce((s, v) => s + v * v, 0)

/**
 * Rounds and priors alike, each in units of its spread. Where the coils stood before is where they are now
 * without the turns since.
 */
function residuals(
  at: Unknowns,
  passes: readonly BandPass[],
  moves: readonly CoilTurns[],
  halfBand: number,
): number[] {
  const line = lineOf(at)
  const read = passes.flatMap((pass, i) => {
    const since = moves.slice(i)
    const back = (of: (m: CoilTurns) => number) => since.reduce((s, m) => s + of(m), 0) * line.perTurn
    const then = readBand(
      {
        ...line,
        common: line.common + back(m => (m.first + m.second) / 2),
        apart: line.apart + back(m => (m.first - m.second) / 2),
      },
      halfBand,
    )
    const sigma = since.length === 0 ? NOW_DB : BEFORE_DB
    return [(then.lowDb - pass.lowDb) / sigma, (then.highDb - pass.highDb) / sigma]
  })
  const apartMeant = moves.reduce((s, m) => s - (m.first - m.second) / 2, 0) * line.perTurn
  return [
    ...read,
    (at[0] - Math.log(PRIOR.q)) / PRIOR.qSpread,
    (at[1] - Math.log(PRIOR.perTurn)) / PRIOR.perTurnSpread,
    line.common / PRIOR.common / (1 + moves.length),
    (line.apart - apartMeant) / Math.hypot(PRIOR.apart, HAND * apartMeant),
  ]
}

function stepFrom(
  at: Unknowns,
  passes: readonly BandPass[],
  moves: readonly CoilTurns[],
  halfBand: number,
  damping: number,
): Unknowns {
  const base = residuals(at, passes, moves, halfBand)
  const STEP = [1e-4, 1e-4, 1e-7, 1e-7]
  const slopes = at.map((v, k) =>
    residuals(
      at.map((x, j) => (j === k ? v + STEP[k]! : x)) as unknown as Unknowns,
      passes,
      moves,
      halfBand,
    ).map((r, n) => (r - base[n]!) / STEP[k]!),
  )
  const normal = slopes.map((a, i) =>
    slopes.map((b, j) => a.reduce((s, v, n) => s + v * b[n]!, 0) * (i === j ? 1 + damping : 1)),
  )
  const right = slopes.map(a => a.reduce((s, v, n) => s - v * base[n]!, 0))
  const by = inverse(normal).map(row => row.reduce((s, v, j) => s + v * right[j]!, 0))
  return at.map((v, k) => v + by[k]!) as unknown as Unknowns
}
