import { message } from '../../message'
import { note, type Note } from '../result'
import { CLOSE_HZ, frequencyUncertainty, type Found, type LineMeter } from './lineMeter'
import type { SsbInput } from './ssbInput'

/** The usual pair of tones [Hz] (common practice). */
const USUAL_TONES_HZ = [700, 1900] as const
/** What is left of the carrier is looked for this far from where it should be [Hz]. */
const LEAK_WITHIN_HZ = 200
/** A line this much above the noise of its window is one. */
const SEEN = 8

/** A carrier that nothing shows lies within this of where it is assumed [Hz]. */
export const ASSUMED_WITHIN_HZ = LEAK_WITHIN_HZ
/** Tones that were called 700 and 1900 Hz are so within this [Hz]. */
const TONES_WITHIN_HZ = 25

/** The place of a suppressed carrier: seen as a line of its own, or assumed within some distance. */
export interface PlacedCarrier {
  readonly hz: number | null
  readonly isSeen: boolean
  readonly withinHz: number
  /** standard uncertainty, of an assumption by its even spread */
  readonly uncertaintyHz: number | null
  readonly notes: readonly Note[]
}

/**
 * Where the suppressed carrier is: near where it should be if that is known, else where the tones or a leak
 * say.
 */
export function suppressedCarrier(input: SsbInput, lines: LineMeter, tones: readonly Found[]): PlacedCarrier {
  const expected = input.nominalHz ?? byTones(input, lines, tones)
  if (expected === null)
    return {
      hz: null,
      isSeen: false,
      withinHz: 0,
      uncertaintyHz: null,
      notes: [note('carrier-not-found', message('note.carrierUnknown'))],
    }
  const leak = leakNear(expected, lines, tones)
  if (leak !== null)
    return {
      hz: leak.hz,
      isSeen: true,
      withinHz: 0,
      uncertaintyHz: frequencyUncertainty(lines.noiseAt(leak.hz) / leak.level, lines.seconds),
      notes: [],
    }
  const withinHz = input.nominalHz === null && usual(tones) ? TONES_WITHIN_HZ : ASSUMED_WITHIN_HZ
  const words = input.nominalHz === null ? message('note.fromTones') : message('note.fromNominal')
  return {
    hz: expected,
    isSeen: false,
    withinHz,
    uncertaintyHz: withinHz / Math.sqrt(3),
    notes: [note('carrier-assumed', message('note.carrierAssumed', { words, withinHz }))],
  }
}

const usual = (tones: readonly Found[]) =>
  tones.length === 2 &&
  Math.abs(tones[1]!.hz - tones[0]!.hz - (USUAL_TONES_HZ[1] - USUAL_TONES_HZ[0])) < TONES_WITHIN_HZ

/** Whether a place is that of a tone, or of a product of two. */
export function isProductOf(tones: readonly Found[], hz: number): boolean {
  if (tones.some(t => Math.abs(hz - t.hz) < CLOSE_HZ)) return true
  const spacing = tones.length === 2 ? tones[1]!.hz - tones[0]!.hz : null
  return (
    spacing !== null &&
    Math.abs((hz - tones[0]!.hz) / spacing - Math.round((hz - tones[0]!.hz) / spacing)) * spacing <
      CLOSE_HZ / 2
  )
}

/** A line within reach that is none of the products, the strongest. */
function leakNear(
  expected: number,
  lines: LineMeter,
  tones: readonly Found[],
): { hz: number; level: number } | null {
  const { at, noiseAt, strongest } = lines
  const start = strongest(expected - LEAK_WITHIN_HZ, expected + LEAK_WITHIN_HZ, hz => !isProductOf(tones, hz))
  if (start === null) return null
  let best = { hz: start, level: at(start) }
  if (best.level < SEEN * Math.max(noiseAt(start), 1e-7)) return null
  let step = lines.binHz
  for (let round = 0; round < 16; round++, step /= 2) {
    for (const hz of [best.hz - step, best.hz + step]) if (at(hz) > best.level) best = { hz, level: at(hz) }
  }
  return best
}

function byTones(
  { toneHz, centreHz }: SsbInput,
  { at, noiseAt }: LineMeter,
  tones: readonly Found[],
): number | null {
  const [low, high] = [tones[0]!, tones.at(-1)!]
  if (usual(tones)) {
    const [usb, lsb] = [low.hz - USUAL_TONES_HZ[0], high.hz + USUAL_TONES_HZ[0]]
    const [u, l] = [at(usb), at(lsb)]
    if (
      Math.max(u, l) > SEEN * Math.max(noiseAt(u > l ? usb : lsb), 1e-7) &&
      Math.max(u, l) > 2 * Math.min(u, l)
    )
      return u > l ? usb : lsb
    if (Math.abs(usb - centreHz) < CLOSE_HZ) return usb
    if (Math.abs(lsb - centreHz) < CLOSE_HZ) return lsb
  }
  if (tones.length === 1 && toneHz !== null)
    return Math.abs(low.hz - toneHz - centreHz) < Math.abs(low.hz + toneHz - centreHz)
      ? low.hz - toneHz
      : low.hz + toneHz
  const audio = tones.map(t => t.hz - centreHz)
  return audio.every(f => f > 100 && f < 4000) || audio.every(f => f < -100 && f > -4000) ? centreHz : null
}
