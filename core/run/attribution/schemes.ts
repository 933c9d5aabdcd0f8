import type { AttributionRow, Unknown } from './attribute'

/** Readings of a three-crystal set: a channel's transmit frequency, the reference pin, the second intermediate frequency [Hz off]. */
export type ThreeCrystalReading = { readonly at: 'transmit', readonly channel: number, readonly errorHz: number, readonly standardUncertaintyHz: number } | { readonly at: 'reference' | 'second-if', readonly channel: number, readonly errorHz: number, readonly standardUncertaintyHz: number }

/** Crystals are seldom more than this off when nobody has looked [ppm]. */
const PRIOR_PPM = 60
const STEP_HZ = 10_000
const N_OFFSET = 150
const REFERENCE_MHZ = 10.24
const TX_MHZ = 13.045625
const RX_MHZ = 15.39625

export const THREE_CRYSTALS: readonly Unknown[] = [{ name: 'reference', priorSigma: PRIOR_PPM }, { name: 'transmit crystal', priorSigma: PRIOR_PPM }, { name: 'receive crystal', priorSigma: PRIOR_PPM }]

/** One reading as an equation in ppm of each crystal. Source: C16: df_TX = 2 df_XT + N x 10 kHz x eps; df_IF2 = -(df_XR + N x 10 kHz x eps) - 10.240 MHz x eps. */
export function threeCrystalRow({ at, channel, errorHz, standardUncertaintyHz }: ThreeCrystalReading): AttributionRow {
  const steps = (N_OFFSET + channel) * STEP_HZ / 1e6
  const coefficients: Record<string, number> = at === 'reference' ? { 'reference': REFERENCE_MHZ } : at === 'transmit' ? { 'reference': steps, 'transmit crystal': 2 * TX_MHZ } : { 'reference': -steps - REFERENCE_MHZ, 'receive crystal': -RX_MHZ }
  return { errorHz, standardUncertaintyHz, coefficients }
}

/** Readings of a multimode: a mode's carrier error on a channel with divider n, or its carrier oscillator at the test point. */
export interface MultimodeReading { readonly at: 'transmit' | 'carrier-oscillator' | 'reference', readonly mode: 'AM' | 'USB' | 'LSB', readonly n: number, readonly errorHz: number, readonly standardUncertaintyHz: number }

export const MULTIMODE_OSCILLATORS: readonly Unknown[] = ['reference', ...(['AM', 'USB', 'LSB'] as const).flatMap(m => [`${m} carrier oscillator`, `${m} mixing`])].map(name => ({ name, priorSigma: name === 'reference' ? PRIOR_PPM : 600 }))

/** Errors add: df = df_M + N x 10 kHz x eps + df_C (C18); oscillators of the modes in Hz, the reference in ppm. */
export function multimodeRow({ at, mode, n, errorHz, standardUncertaintyHz }: MultimodeReading): AttributionRow {
  const coefficients: Record<string, number> = at === 'reference' ? { reference: REFERENCE_MHZ } : at === 'carrier-oscillator' ? { [`${mode} carrier oscillator`]: 1 } : { reference: n * STEP_HZ / 1e6, [`${mode} carrier oscillator`]: 1, [`${mode} mixing`]: 1 }
  return { errorHz, standardUncertaintyHz, coefficients }
}
