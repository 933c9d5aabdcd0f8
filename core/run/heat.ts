import { USUAL_KEY_DOWN_S, kindInfo, type SetKind } from '../sheet'

/** Cool enough for the next full key-down. */
const COOL_SHARE = 0.4

/** Warmth of the final as a share of what keying for ever would make. Plain data. */
export interface Heat {
  readonly atMs: number
  readonly share: number
}
export const COLD: Heat = { atMs: 0, share: 0 }

export interface HeatView {
  /** of what one full key-down makes from cold; 1 = as hot as after it */
  readonly ofLimit: number
  /** until a full key-down would not pass it by much [s] */
  readonly coolInS: number
}

/** The final after it was keyed, or not, since it was last looked at: one time constant up and down. */
export function heatStep(heat: Heat, keyed: boolean, nowMs: number, kind: SetKind): Heat {
  if (heat.atMs === 0) return { atMs: nowMs, share: heat.share }
  const decay = Math.exp(-Math.max(0, nowMs - heat.atMs) / 1000 / kindInfo(kind).heatS)
  return { atMs: nowMs, share: (keyed ? 1 : 0) + (heat.share - (keyed ? 1 : 0)) * decay }
}

/**
 * An estimate by time alone; a finger or a thermometer knows better.
 * @param limitS of a key-down; null = not keyed in this step
 */
export function heatView({ share }: Heat, limitS: number | null, kind: SetKind): HeatView {
  const full = 1 - Math.exp(-(limitS ?? USUAL_KEY_DOWN_S) / kindInfo(kind).heatS)
  const ofLimit = share / full
  return {
    ofLimit,
    coolInS: ofLimit <= COOL_SHARE ? 0 : kindInfo(kind).heatS * Math.log(ofLimit / COOL_SHARE),
  }
}
