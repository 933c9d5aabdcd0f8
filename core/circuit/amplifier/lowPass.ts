import { powerDb, dbToPowerRatio } from '../../quantity'
import { memoryless } from '../part'
import { tunedHz, type TunedStage } from '../tuned/tunedStage'

/** What stands between the output stage and the antenna socket. */
export interface LowPass {
  /** second harmonic of the stage itself, below its carrier [dBc], < 0 */
  readonly secondDbc: number
  /** of the filter at twice the carrier [dB] */
  readonly lossDb: number
  /** series circuit across the socket at twice the carrier; null = none */
  readonly trap: TunedStage | null
  /** how deep it goes when it stands right [dB] */
  readonly trapDb: number
}

/**
 * Second harmonic [dBc] at the socket. Source: filter loss and a series trap, 10 log(1 + A / (1 + x^2)), x =
 * 2 Q df / f.
 */
export const lowPass = memoryless(
  'low-pass filter',
  (p: LowPass, { carrierHz, trapTurns }: { carrierHz: number; trapTurns: number }) => {
    if (!p.trap) return p.secondDbc - p.lossDb
    const x = 2 * p.trap.q * (tunedHz(p.trap, trapTurns) / (2 * carrierHz) - 1)
    return p.secondDbc - p.lossDb - powerDb(1 + (dbToPowerRatio(p.trapDb) - 1) / (1 + x * x))
  },
)
