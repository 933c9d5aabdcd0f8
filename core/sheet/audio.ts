import type { SetState } from './shape/measurePoint'

export type AudioAt = Pick<SetState, 'toneHz' | 'audio' | 'setting'>

/** What modulates the set while a row is read. */
export type Modulation = 'none' | 'tone' | 'two-tones' | 'speech'

/**
 * What modulates the set. Sheets and rows from before there was a field for it say so at the end of their
 * controls, in English only.
 */
export function modulationOf({ toneHz, audio, setting }: AudioAt): Modulation {
  if (toneHz !== null) return 'tone'
  if (audio !== undefined) return audio
  if (/\bvoice$/.test(setting)) return 'speech'
  return /\btwo tones\b/.test(setting) ? 'two-tones' : 'none'
}

/** Controls without the words by which older sheets said what modulates the set. */
export const withoutAudioWords = (setting: string): string =>
  setting.replace(/,?\s*\b(?:voice$|two tones\b)/g, '').replace(/^[,\s]+/, '')

/** Whether nothing modulates it: only then is the mean power of AM that of its carrier. */
export const isUnmodulated = (at: AudioAt): boolean => modulationOf(at) === 'none'
