/** A reading while something is turned. */
export interface SettingSample {
  readonly atS: number
  readonly value: number
}

/** A value at which the needle rested. */
export interface SettledReading {
  readonly atS: number
  readonly value: number
}

/** How far to turn, told by the last movement: 1 = as far again, negative = back. */
export interface SettingAdvice {
  readonly kind: 'first-touch' | 'turn' | 'there' | 'no-effect'
  /** what the value must do now */
  readonly need: 'up' | 'down' | null
  /** of the last turn, signed; null = no turn yet that could tell */
  readonly ofLastTurn: number | null
}

/** Where setting stands. Plain data. */
export interface SettingGuide {
  readonly samples: readonly SettingSample[]
  readonly rests: readonly SettledReading[]
}
export const NEW_SETTING: SettingGuide = { samples: [], rests: [] }

/** The needle rests when it moved less than this share of the value over the stretch [ratio, s]. */
const REST_SHARE = 0.006
const REST_S = 1.4
/** A turn shows when the value moved more than this share. */
const MOVED_SHARE = 0.012
/** Further than this the last movement says nothing any more. */
const MAX_TURNS = 8
const KEPT_S = 6
/** A needle that creeps on without having left its rest is still coming from the same turn [s]. */
const GAP_S = 0.8

/** Takes in one reading. */
export function settingStep(guide: SettingGuide, sample: SettingSample, scale: number): SettingGuide {
  const samples = [...guide.samples.filter(s => s.atS > sample.atS - KEPT_S), sample]
  const stretch = samples.filter(s => s.atS > sample.atS - REST_S)
  if (sample.atS - samples[0]!.atS < REST_S || stretch.length < 3) return { ...guide, samples }
  const values = stretch.map(s => s.value)
  if (Math.max(...values) - Math.min(...values) > REST_SHARE * scale) return { ...guide, samples }
  const value = values.reduce((a, b) => a + b, 0) / values.length
  const last = guide.rests.at(-1)
  const rested = { atS: sample.atS, value }
  const creeps = last && (sample.atS - last.atS < GAP_S || Math.abs(value - last.value) < MOVED_SHARE * scale)
  if (creeps) return { samples, rests: [...guide.rests.slice(0, -1), rested] }
  return { samples, rests: [...guide.rests, rested].slice(-6) }
}

/**
 * What to do now, from the value and the last movement of the hand.
 * @param window to be inside of; aim is what it is set to
 * @param scale size of the values, for what counts as moved: the width of the window or the value itself
 */
export function settingAdvice(
  guide: SettingGuide,
  window: { readonly low: number; readonly high: number; readonly aim: number },
): SettingAdvice | null {
  const now = guide.rests.at(-1)
  if (!now) return null
  if (now.value >= window.low && now.value <= window.high)
    return { kind: 'there', need: null, ofLastTurn: null }
  const need = now.value < window.aim ? 'up' : 'down'
  const before = guide.rests.at(-2)
  if (!before) return { kind: 'first-touch', need, ofLastTurn: null }
  const ratio = (window.aim - now.value) / (now.value - before.value)
  if (Math.abs(ratio) > MAX_TURNS) return { kind: 'no-effect', need, ofLastTurn: null }
  return { kind: 'turn', need, ofLastTurn: ratio }
}

/** What counts as the size of the values: a window about a large nominal is judged by its width. */
export function settingScale(window: { readonly low: number; readonly high: number }): number {
  const width = window.high - window.low
  return Math.abs(window.high) > 1000 * width ? width * 10 : Math.max(Math.abs(window.high), width)
}
