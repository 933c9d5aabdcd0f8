import type { MeasurePoint, SetState } from './modelSheet'

/** Modulation of the generator while a receiver is measured. */
export type GeneratorModulation =
  | { readonly kind: 'none' }
  | { readonly kind: 'am', readonly depthRatio: number }
  | { readonly kind: 'fm', readonly deviationHz: number }

/** What a sensitivity is told by: without both it is a bare number. */
export interface ReceiverTest { readonly modulation: GeneratorModulation, readonly criterion: 'sinad-12' | 'signal-noise-10' }

/** What is usual in a mode (general trade knowledge): 30 % on AM, 1.5 kHz on FM, a bare carrier on sideband and CW. */
const USUAL: Readonly<Record<SetState['mode'], ReceiverTest>> = {
  AM: { modulation: { kind: 'am', depthRatio: 0.3 }, criterion: 'signal-noise-10' },
  FM: { modulation: { kind: 'fm', deviationHz: 1500 }, criterion: 'sinad-12' },
  USB: { modulation: { kind: 'none' }, criterion: 'signal-noise-10' },
  LSB: { modulation: { kind: 'none' }, criterion: 'signal-noise-10' },
  CW: { modulation: { kind: 'none' }, criterion: 'signal-noise-10' },
}

const DEPTH = /AM (\d{1,3}) ?%/
const DEVIATION = /(\d(?:\.\d)?) ?kHz (?:of )?deviation/
const SINAD = /12 dB SINAD/
const SIGNAL_NOISE = /\(S\+N\)\/N/

/** Generator and criterion of a row, as the row says them in its title and remarks; what it leaves open is the usual of its mode. */
export function receiverTest({ title, state, wants }: Pick<MeasurePoint, 'title' | 'state' | 'wants'>): ReceiverTest {
  const words = `${title} ${state.also ?? ''} ${state.setting}`
  const usual = USUAL[state.mode]
  const depth = DEPTH.exec(words)
  const deviation = DEVIATION.exec(words)
  const modulation: GeneratorModulation = depth ? { kind: 'am', depthRatio: Number(depth[1]) / 100 } : deviation ? { kind: 'fm', deviationHz: Number(deviation[1]) * 1000 } : usual.modulation
  const bySinad = SINAD.test(words) || wants.some(w => w.quantity === 'sinadDb')
  const criterion = bySinad ? 'sinad-12' : SIGNAL_NOISE.test(words) ? 'signal-noise-10' : usual.criterion
  return { modulation, criterion }
}
