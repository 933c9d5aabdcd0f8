/** What a beat tells: a tone has no sign, so the direction is found by a touch. */
export interface BeatAdvice {
  /** distance from right [Hz], without its sign */
  readonly offHz: number
  readonly word: 'there' | 'touch' | 'nearer' | 'further'
}

/** Beats slower than this are zero for a setting by ear or sound card [Hz]. */
const THERE_HZ = 1
/** A change that says something [Hz]. */
const TELLING_HZ = 0.5

/**
 * Zero beat from a measured tone: against nothing (the tone itself must vanish) or against a pitch (a side
 * tone that must be met).
 * @param toneHz measured; null = no tone, which against nothing is what is wanted
 * @param pitchHz 0 = the beat itself, else the tone to be met [Hz]
 * @param beforeHz distance before the last touch, or null
 */
export function beatAdvice(
  toneHz: number | null,
  pitchHz: number,
  beforeHz: number | null,
): BeatAdvice | null {
  if (toneHz === null && pitchHz > 0) return null
  const offHz = Math.abs((toneHz ?? 0) - pitchHz)
  if (offHz <= THERE_HZ) return { offHz, word: 'there' }
  if (beforeHz === null || Math.abs(offHz - beforeHz) < TELLING_HZ) return { offHz, word: 'touch' }
  return { offHz, word: offHz < beforeHz ? 'nearer' : 'further' }
}
