import { bandPower, holds, type PowerSpectrum } from '../spectrum/powerSpectrum'
import { ratioToDb } from '../result'

/** Something that is sent beside the wanted signal. */
export interface Beside {
  readonly offsetHz: number
  /** against the wanted one [dB] */
  readonly db: number
}

/** The wanted signal is looked for within this of its middle, strangers from there on [Hz]. */
const OWN_HZ = 5000
const REACH_HZ = 40_000
const STEP_HZ = 1250
const WIDTH_HZ = 2500
/** What is weaker than this does no harm to the figures [ratio of power], and may be splatter. */
const MIN = 1e-4
/** Splatter is alike on both sides: a side this much stronger than its mirror holds a stranger [ratio]. */
const UNLIKE = 4
/** No spurious line of a set is as strong as this [dB]. */
const SURELY_ANOTHER_DB = -15
const ON_RASTER_HZ = 2500
/**
 * Splatter falls with distance: what rises this much behind a gap is a stranger [ratio], unless its mirror is
 * its twin.
 */
const BEHIND_GAP = 10
const TWIN = 1.26

/**
 * Strangers beside a signal. Splatter of the signal itself is like on both sides and falls with distance; a
 * stranger is not.
 * @param ownHz middle of the wanted signal
 * @param floor noise per bin
 * @param isOneSided single sideband: its products are not alike
 * @param spacingHz raster: what is weak and on no channel of it is put to the set itself, as a spurious line
 */
export function besideOf(
  s: PowerSpectrum,
  ownHz: number,
  floor: number,
  isOneSided: boolean,
  spacingHz: number,
): Beside[] {
  const power = (hz: number) =>
    holds(s, ownHz + hz - WIDTH_HZ / 2, ownHz + hz + WIDTH_HZ / 2)
      ? Math.max(
          0,
          bandPower(s, ownHz + hz - WIDTH_HZ / 2, ownHz + hz + WIDTH_HZ / 2) -
            (1.5 * floor * WIDTH_HZ) / s.binHz,
        )
      : null
  const own = Math.max(bandPower(s, ownHz - OWN_HZ, ownHz + OWN_HZ), 1e-30)
  const found: Beside[] = []
  for (const side of [-1, 1]) {
    let gap = Infinity
    for (let away = OWN_HZ - WIDTH_HZ / 2; away <= REACH_HZ; away += STEP_HZ) {
      const here = power(side * away)
      if (here === null) break
      const mirror = power(-side * away) ?? here
      const alike = here < TWIN * mirror && mirror < TWIN * here
      const stranger =
        away > OWN_HZ &&
        here > MIN * own &&
        ((here > UNLIKE * mirror && !isOneSided) || (here > BEHIND_GAP * gap && !alike))
      gap = Math.min(gap, Math.max(here, (MIN * own) / BEHIND_GAP))
      if (stranger) found.push({ offsetHz: side * away, db: ratioToDb(here / own) })
    }
  }
  const onRaster = ({ offsetHz }: Beside) =>
    Math.abs(offsetHz) > spacingHz / 2 &&
    Math.abs(offsetHz / spacingHz - Math.round(offsetHz / spacingHz)) * spacingHz < ON_RASTER_HZ
  return strongestOfEach(found)
    .map(b => placed(s, ownHz, own, b))
    .filter(b => b.db > SURELY_ANOTHER_DB || onRaster(b))
}

/** A stranger by its strongest line, and by all that it sends in a raster. */
function placed(s: PowerSpectrum, ownHz: number, own: number, { offsetHz }: Beside): Beside {
  const at = (hz: number) =>
    Math.max(0, Math.min(s.power.length - 1, Math.round((ownHz + hz - s.fromHz) / s.binHz)))
  const side = Math.sign(offsetHz)
  const [near, far] = [Math.max(OWN_HZ, Math.abs(offsetHz) - WIDTH_HZ), Math.abs(offsetHz) + OWN_HZ]
  let best = at(offsetHz)
  for (let k = Math.min(at(side * near), at(side * far)); k <= Math.max(at(side * near), at(side * far)); k++)
    if (s.power[k]! > s.power[best]!) best = k
  const lineHz = s.fromHz + best * s.binHz - ownHz
  // Not so far that the wanted signal is counted as well.
  const halfHz = Math.max(STEP_HZ, Math.min(OWN_HZ, Math.abs(lineHz) - OWN_HZ))
  return {
    offsetHz: lineHz,
    db: ratioToDb(Math.max(bandPower(s, ownHz + lineHz - halfHz, ownHz + lineHz + halfHz), 1e-30) / own),
  }
}

/** One entry for each stranger: neighbouring bands belong together. */
function strongestOfEach(bands: readonly Beside[]): Beside[] {
  const out: Beside[] = []
  for (const b of [...bands].sort((x, y) => y.db - x.db))
    if (!out.some(o => Math.abs(o.offsetHz - b.offsetHz) < 2 * OWN_HZ)) out.push(b)
  return out
}

/** Middle of what is sent within half a raster of a place, weighted by power above the noise [Hz]. */
export function centroid(s: PowerSpectrum, aroundHz: number, floor: number): number {
  let middle = aroundHz
  for (let round = 0; round < 3; round++) {
    let [sum, weight] = [0, 0]
    const [from, to] = [middle - OWN_HZ, middle + OWN_HZ].map(hz =>
      Math.max(0, Math.min(s.power.length - 1, Math.round((hz - s.fromHz) / s.binHz))),
    ) as [number, number]
    for (let k = from; k <= to; k++) {
      const p = Math.max(0, s.power[k]! - 2 * floor)
      sum += p * (s.fromHz + k * s.binHz)
      weight += p
    }
    if (!(weight > 0)) return middle
    middle = Math.max(aroundHz - OWN_HZ, Math.min(aroundHz + OWN_HZ, sum / weight))
  }
  return middle
}
