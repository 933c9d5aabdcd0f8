import { noiseFloor, type PowerSpectrum } from './spectrum/powerSpectrum'

/** Where something is sent in a spectrum. */
export interface Located { readonly present: boolean, /** strongest line, between bins [Hz] */ readonly peakHz: number, readonly peakPower: number, readonly floor: number }

/** A signal fills less than this on either side of its strongest line [Hz]. */
const AROUND_HZ = 9000
/** A line near 0 Hz and this small, with nothing else, is the offset of a receiver and no signal. */
const OFFSET_MOST = 10 ** (-40 / 10)
const SILENCE = 1e-11

/**
 * The strongest line and the noise beside it.
 * @param nearHz look within 7 kHz of this first; null = everywhere
 */
export function locate(s: PowerSpectrum, nearHz: number | null, isReal: boolean): Located {
  const rough = noiseFloor(s, hz => !isReal || hz > 0)
  const counts = (hz: number) => !isReal || hz > 4 * s.binHz
  const near = nearHz === null ? null : strongest(s, hz => counts(hz) && Math.abs(hz - nearHz) < 7000)
  const best = near !== null && s.power[near]! > threshold(s) * rough ? near : strongest(s, counts)
  if (best === null) return { present: false, peakHz: 0, peakPower: 0, floor: rough }
  const peakHz = vertex(s, best)
  const wide = s.power.length * s.binHz > 4 * AROUND_HZ
  const floor = wide ? noiseFloor(s, hz => Math.abs(hz - peakHz) > AROUND_HZ && (!isReal || hz > 0)) : rough
  const total = s.power.reduce((a, b) => a + b, 0)
  const onlyOffset = !isReal && Math.abs(peakHz) < 3 * s.binHz && s.power[best]! * 2 < OFFSET_MOST && !standsBeside(s, best, floor)
  return { present: total > SILENCE && s.power[best]! > threshold(s) * floor && !onlyOffset, peakHz, peakPower: s.power[best]!, floor }
}

/** How far a bin of averaged noise may rise by chance, and 6 dB at least. */
function threshold({ segments }: PowerSpectrum): number {
  return 4 + 10 / Math.sqrt(segments) + 12 / segments
}

function strongest(s: PowerSpectrum, counts: (hz: number) => boolean): number | null {
  let best: number | null = null
  for (let k = 0; k < s.power.length; k++) if (counts(s.fromHz + k * s.binHz) && (best === null || s.power[k]! > s.power[best]!)) best = k
  return best
}

/** Anything but the line at zero itself. */
function standsBeside(s: PowerSpectrum, at: number, floor: number): boolean {
  return s.power.some((p, k) => Math.abs(k - at) > 6 && p > threshold(s) * floor)
}

/** Between bins, by a parabola through the logarithms. */
function vertex(s: PowerSpectrum, k: number): number {
  const [a, b, c] = [k - 1, k, k + 1].map(n => Math.log(Math.max(s.power[n] ?? 0, 1e-300))) as [number, number, number]
  const bend = a - 2 * b + c
  const shift = bend < 0 ? Math.max(-0.5, Math.min(0.5, 0.5 * (a - c) / bend)) : 0
  return s.fromHz + (k + shift) * s.binHz
}
