import { powerDb, dbToPowerRatio } from '../../quantity'
/** What to do with the core now; the hand moves after each word, and the needle is waited for. */
export type PeakWord = 'wait' | 'go-on' | 'touch' | 'turn-back' | 'stop' | 'flat' | 'end'

/** A level that was waited for [dB of the first reading], and what was said then. */
export interface PeakLook {
  readonly atS: number
  readonly levelDb: number
  readonly word: PeakWord
}

/** Where peaking one core stands. Plain data. */
export interface PeakGuide {
  readonly looks: readonly PeakLook[]
  /** readings since the last word was said: time [s] and value, linear */
  readonly since: readonly { readonly atS: number; readonly value: number }[]
  readonly sinceS: number | null
  /** the top has been crossed once: from then on only a few degrees at a time */
  readonly fine: boolean
  /** last value and smallest change between two readings: the step of the display */
  readonly last: number | null
  readonly step: number
}

export const NEW_GUIDE: PeakGuide = {
  looks: [],
  since: [],
  sinceS: null,
  fine: false,
  last: null,
  step: Infinity,
}

/**
 * The guide after the set was keyed again or anything else changed: levels seen before are not compared with
 * what comes, but a top that was crossed is still close by.
 */
export function resumedGuide(guide: PeakGuide): PeakGuide {
  return { ...NEW_GUIDE, fine: guide.fine, step: guide.step }
}

/**
 * A hand takes this long to turn, a needle this long to follow [s]; longer than the last it is not waited
 * for.
 */
const MIN_S = 3.2
const MAX_S = 8
/** The needle has arrived when over the averaged stretch it moves less than this [dB/s]. */
const AVERAGE_S = 1.8
const ARRIVED_DB_PER_S = 0.045
/**
 * Levels that differ by less are the same [dB]: twice what a reading of 0.05 dB scatter leaves after
 * averaging, and a half step of a display of 1 %.
 */
const SAME_DB = 0.035
/** Both sides of a crossing lie at most this far below it, or it says too little about the top [dB]. */
const CLOSE_DB = 0.3
/** How far below the top is good enough [dB]. */
const NEAR_DB = 0.05
const FLAT_LOOKS = 6
/** So many looks without a change after a clear rise are the stop of the core. */
const END_LOOKS = 4
const END_RISE_DB = 0.5
const HALF_STEP = 0.6

/** Takes in one reading. @returns the guide after it; its last look holds the word while it is new */
export function guided(guide: PeakGuide, atS: number, value: number): PeakGuide {
  const sinceS = guide.sinceS ?? atS
  const since = [...guide.since, { atS, value }]
  const change = guide.last === null ? 0 : Math.abs(value - guide.last)
  const seen = {
    ...guide,
    since,
    sinceS,
    last: value,
    step: change > 0 ? Math.min(guide.step, change) : guide.step,
  }
  if (atS - sinceS < MIN_S) return seen
  const last = since.filter(s => s.atS > atS - AVERAGE_S)
  const { levelDb, slope } = levelOf(last)
  if (Math.abs(slope) > ARRIVED_DB_PER_S && atS - sinceS < MAX_S) return seen
  return { ...seen, ...decided(seen, atS, levelDb), since: [], sinceS: atS }
}

function levelOf(samples: readonly { readonly atS: number; readonly value: number }[]): {
  levelDb: number
  slope: number
} {
  const n = samples.length
  const mean = samples.reduce((a, s) => a + s.value, 0) / n
  const mt = samples.reduce((a, s) => a + s.atS, 0) / n
  const stt = samples.reduce((a, s) => a + (s.atS - mt) ** 2, 0)
  const slope =
    stt > 0 && mean > 0
      ? ((samples.reduce((a, s) => a + (s.atS - mt) * (s.value - mean), 0) / stt / mean) * 10) / Math.LN10
      : 0
  return { levelDb: powerDb(Math.max(mean, 1e-12)), slope }
}

function decided(guide: PeakGuide, atS: number, levelDb: number): Pick<PeakGuide, 'looks' | 'fine'> {
  const looks = guide.looks
  const before = looks.at(-1)
  const same = sameDb(levelDb, guide.step)
  const rise = before ? levelDb - before.levelDb : 0
  const fine = guide.fine || crossedCoarsely([...looks.map(l => l.levelDb), levelDb])
  const say = (word: PeakWord) => ({ looks: [...looks, { atS, levelDb, word }], fine })
  const top = topOf([...looks, { atS, levelDb, word: 'wait' }], guide.step)
  if (top !== null && levelDb >= top - NEAR_DB) return say('stop')
  if (!before) return say(fine ? 'touch' : 'go-on')
  const recent = [...looks.slice(-FLAT_LOOKS).map(l => l.levelDb), levelDb]
  if (!fine && recent.length > FLAT_LOOKS && Math.max(...recent) - Math.min(...recent) < SAME_DB)
    return say('flat')
  if (!fine && stoppedShort([...looks.map(l => l.levelDb), levelDb])) return say('end')
  if (rise < -same) return say('turn-back')
  return say(fine ? 'touch' : 'go-on')
}

/** On a coarse display low levels differ by chance: half a step of it counts as the same. */
function sameDb(levelDb: number, step: number): number {
  return Number.isFinite(step)
    ? Math.max(SAME_DB, HALF_STEP * powerDb(1 + step / dbToPowerRatio(levelDb)))
    : SAME_DB
}

/**
 * Rose, was never seen to fall, and then no longer changed although the core was turned on: it reached its
 * stop before the top.
 */
function stoppedShort(levels: readonly number[]): boolean {
  const last = levels.slice(-END_LOOKS)
  if (levels.length <= END_LOOKS || Math.max(...last) - Math.min(...last) >= SAME_DB) return false
  const before = levels.slice(0, -END_LOOKS)
  const rose = levels.at(-END_LOOKS)! - Math.min(...before) > END_RISE_DB
  return rose && Math.max(...before) <= Math.max(...last) + SAME_DB
}

/** Rose, and fell again. */
function crossedCoarsely(levels: readonly number[]): boolean {
  const best = levels.indexOf(Math.max(...levels))
  return (
    levels.slice(0, best).some(l => l < levels[best]! - SAME_DB) &&
    levels.slice(best + 1).some(l => l < levels[best]! - SAME_DB)
  )
}

/**
 * Height of the top by the crossings in small steps [dB]; null = none yet.
 * Levels rise and fall without a turning back between, so the top lies between the neighbours of a local
 * maximum.
 * Source: parabola through three points taken as evenly spaced.
 */
function topOf(looks: readonly PeakLook[], step: number): number | null {
  const tops: number[] = []
  for (let i = 1; i < looks.length - 1; i++) {
    const [a, b, c] = [looks[i - 1]!, looks[i]!, looks[i + 1]!]
    const [left, right] = [b.levelDb - a.levelDb, b.levelDb - c.levelDb]
    if (
      b.word === 'turn-back' ||
      left < 0 ||
      right < 0 ||
      Math.max(left, right) > CLOSE_DB ||
      Math.max(left, right) < sameDb(b.levelDb, step)
    )
      continue
    tops.push(b.levelDb + (left + right > 0 ? (left - right) ** 2 / (8 * (left + right)) : 0))
  }
  if (tops.length === 0) return null
  const sorted = tops.sort((x, y) => y - x)
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length / 2))]!
}
