import { softLimit } from '../amplifier/softLimit'
import { memoryless } from '../part'

/** From the microphone socket to the modulator. */
export interface AudioChain {
  /** what a tone at the socket would make without a limiter, per volt [ratio of full modulation / V] */
  readonly gainPerV: number
  readonly limiterFitted: boolean
  /** dried-out coupling capacitors raise it [Hz] */
  readonly lowCutHz: number
  /** hum that comes through the supply capacitors [ratio of full modulation] */
  readonly humRatio: number
}

export interface AudioInput {
  readonly toneV: number
  readonly toneHz: number
  /** where the preset lets the limiter hold [ratio] */
  readonly limitRatio: number
}

/** The knee of an audio limiter is firm, its waveform stays a sine (it is a gain control, not a clipper). */
const KNEE = 2

/**
 * Modulation [ratio] that a tone makes. Without its limiter the preset does nothing and the modulation
 * follows the audio.
 */
export const audioChain = memoryless(
  'audio chain',
  (p: AudioChain, { toneV, toneHz, limitRatio }: AudioInput): number => {
    if (!(toneV > 0 && toneHz > 0)) return 0
    const asked = (p.gainPerV * toneV) / Math.hypot(1, p.lowCutHz / toneHz)
    return p.limiterFitted ? limitRatio * softLimit(asked / Math.max(1e-9, limitRatio), KNEE) : asked
  },
)
