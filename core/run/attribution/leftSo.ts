import { planOf } from '../../rules'
import type { MixingScheme, ModelSheet } from '../../sheet'
import type { StepState } from '../stepState'
import { schemeRow } from './schemeRows'

/** Smaller shifts are below what a counter on this bench resolves [Hz]. */
const SHOWN_HZ = 0.5

/** What an oscillator that is left off does to one frequency of the set. */
export interface Shift {
  readonly name: string
  /** at the lowest and the highest channel the set is judged by, or once where it takes no steps */
  readonly at: readonly { readonly channel: number | null; readonly shiftHz: number }[]
  /** what can take it up; null = nothing does */
  readonly adjusters: readonly string[]
}

export interface LeftSo {
  readonly errorHz: number
  readonly errorPpm: number
  readonly shifts: readonly Shift[]
}

/**
 * What follows when a step is left with its frequency off because its adjuster reaches no further: every
 * other frequency that its oscillator makes, as long as nothing else is turned.
 * @returns null where the step reads no frequency of the scheme outside its tolerance, or one that more than
 * one oscillator makes
 * Source: C16, C18, the scheme of the sheet: df = sum of (factor + stepFactor N) f e.
 * @example 27F: reference -65 Hz (-6.3 ppm), second intermediate frequency +74.6 Hz on channel 1
 */
export function leftSo(sheet: ModelSheet, { step, wants }: StepState): LeftSo | null {
  const { scheme } = sheet
  if (!scheme) return null
  const pulled = scheme.oscillators.filter(o => o.adjuster !== null && step.adjusters.includes(o.adjuster))
  const [oscillator] = pulled
  const off = wants.find(
    w =>
      w.latest !== null &&
      w.requirement.nominalHz !== null &&
      (w.judgement?.verdict === 'above' || w.judgement?.verdict === 'below'),
  )
  const read = scheme.frequencies.find(
    f => f.quantity === off?.want.quantity && (f.mode === null || f.mode === off?.point.state.mode),
  )
  if (!oscillator || pulled.length > 1 || !off || !read) return null
  // What several oscillators make may be off by any of them.
  if (read.terms.some(t => t.oscillator !== oscillator.id)) return null
  const errorHz = off.latest!.reading.value - off.requirement.nominalHz!
  const perPpm = coefficient(sheet, scheme, read.id, off.point.state.channel, oscillator.id)
  if (perPpm === 0) return null
  const errorPpm = errorHz / perPpm
  const shifts = scheme.frequencies
    .filter(f => f.id !== read.id)
    .map(f => ({
      name: f.name,
      at: channelsOf(
        sheet,
        f.terms.some(t => t.stepFactor !== 0),
      ).map(channel => ({
        channel,
        shiftHz: errorPpm * coefficient(sheet, scheme, f.id, channel, oscillator.id),
      })),
      adjusters: scheme.oscillators.flatMap(o =>
        o.id !== oscillator.id && o.adjuster !== null && f.terms.some(t => t.oscillator === o.id)
          ? [o.adjuster]
          : [],
      ),
    }))
    .filter(s => s.at.some(a => Math.abs(a.shiftHz) >= SHOWN_HZ))
  return { errorHz, errorPpm, shifts }
}

function channelsOf({ main }: ModelSheet, takesSteps: boolean): (number | null)[] {
  return takesSteps ? [...new Set([main.fromChannel, main.toChannel])] : [null]
}

/** Shift of a frequency for one ppm of an oscillator [Hz]. */
function coefficient(
  sheet: ModelSheet,
  scheme: MixingScheme,
  frequencyId: string,
  channel: number | null,
  oscillatorId: string,
): number {
  const reading = { frequencyId, channel, errorHz: 0, standardUncertaintyHz: 1 }
  return schemeRow(scheme, planOf(sheet), reading).coefficients[oscillatorId] ?? 0
}
