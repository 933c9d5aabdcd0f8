import { dbToPowerRatio, groupDigits, powerRatioToDb, type Quantity } from '../../core/quantity'
import type { ComparedCell, JobEvent, OpenItem, RunState } from '../../core/run'
import type { RuleSet } from '../../core/rules'
import type { ModelSheet } from '../../core/sheet'
import { causeOf } from '../../core/diagnose'
import { inspectionItems } from '../../core/work'
import { isJudged, shownCell } from './compareGauge'

/** The handover in words that an owner understands: no jargon, no designators. */

/** A change of level that a person at the other end can notice [dB] (general trade knowledge). */
const AUDIBLE_DB = 1

/** Quantities as an owner would call them; the others keep their name. */
const PLAIN: Partial<Record<Quantity, string>> = {
  powerW: 'power', carrierHz: 'off frequency by', referenceHz: 'clock of the set off by', deviationPositiveHz: 'deviation (how loud it is)', depthNegativeRatio: 'depth (how loud it is)',
  sensitivityV: 'weakest signal heard well', audibleV: 'weakest signal heard', sMeter: 'S-meter where S9 belongs', panelPowerW: 'the meter on the set',
}

/** What was and what is, on the middle channel: enough for an owner, the rest stands in the shop's copy. */
export function beforeAfterWords(cells: readonly ComparedCell[]): string[] {
  const middle = middleChannel(cells)
  const told = cells.filter(c => PLAIN[c.want.quantity] && isJudged(c) && (c.point.state.channel ?? middle) === middle && c.before.latest && c.after.latest)
  return told.map((c) => {
    const [before, after] = [shownCell(c.before)!, shownCell(c.after)!]
    return `${c.point.title}: ${PLAIN[c.want.quantity]} ${before.value} ${before.unit} when it came, ${after.value} ${after.unit} now.`
  })
}

function middleChannel(cells: readonly ComparedCell[]): number | undefined {
  const channels = [...new Set(cells.flatMap(c => c.point.state.channel ?? []))].sort((a, b) => a - b)
  return channels[Math.floor((channels.length - 1) / 2)]
}

/** Why the meter may now show less, where it does on the middle channel. */
export function lessPowerWords(cells: readonly ComparedCell[]): string[] {
  const middle = middleChannel(cells)
  return cells.filter(c => c.want.quantity === 'powerW' && c.point.state.keyed && c.point.state.channel === middle).flatMap((c) => {
    const [before, after] = [c.before.latest?.reading.value, c.after.latest?.reading.value]
    if (!before || !after || after >= before * dbToPowerRatio(-0.2)) return []
    const db = powerRatioToDb(after / before)
    const heard = Math.abs(db) < AUDIBLE_DB ? 'nobody hears such a difference' : 'what was above it went beside the channel, into heat, or beyond what is allowed'
    return [`${c.point.title}: a meter now shows ${groupDigits(after, 1)} W instead of ${groupDigits(before, 1)} W (${groupDigits(db, 1, true)} dB). Less on the meter can be the better set: ${heard}.`]
  })
}

/** How to run the set; never more than what was measured allows. */
export function operatingAdvice(sheet: ModelSheet, cells: readonly ComparedCell[]): string[] {
  const modes = new Set(sheet.matrix.map(p => p.state.mode))
  const carrierW = cells.find(c => c.want.quantity === 'powerW' && c.point.state.keyed && !c.point.state.lowPower && c.point.state.toneHz === null)?.after.latest?.reading.value
  return [
    `Supply ${sheet.nominalSupplyV} V, fuse as rated, polarity checked before it is connected.`,
    'Never transmit without an antenna or a dummy load; let the antenna be checked (SWR).',
    ...(modes.has('AM') && carrierW ? [`AM: leave the carrier at ${groupDigits(carrierW, 1)} W. Never above it: a larger carrier leaves no room for the voice and overheats the set.`] : []),
    ...(modes.has('AM') ? ['Microphone gain: where others call it clear. The limiter is part of the set; leave it in.'] : []),
    ...(cells.some(c => c.point.state.lowPower) ? ['Low power is for high antennas and near stations.'] : []),
    'No external amplifier and no changed coverage where they are forbidden.',
  ]
}

/** What was aligned, by the names of the steps. */
export function alignedWords(run: RunState): string[] {
  const titles = run.steps.filter(s => s.satisfied && s.status === 'inside').map(s => s.step.title.toLowerCase())
  return titles.length > 0 ? [`Measured and set: ${titles.join(', ')}.`] : []
}

/** What was found and mended, from the record. */
export function mendedWords(sheet: ModelSheet, events: readonly JobEvent[]): string[] {
  const seen = new Map(events.flatMap(e => e.kind === 'item-inspected' ? [[e.itemId, e] as const] : []))
  return [
    ...inspectionItems(sheet).flatMap((i) => {
      const last = seen.get(i.id)
      return last && last.state !== 'fine' ? [`${i.lookFor}: ${last.state === 'treated' ? 'treated' : last.state === 'ask' ? 'to be asked' : 'seen'}${last.text ? `, ${last.text}` : ''}.`] : []
    }),
    ...events.flatMap(e => e.kind === 'cause-confirmed' ? [`Found: ${causeOf(e.causeId).title}.`] : []),
    ...events.flatMap(e => e.kind === 'part-changed' ? [`Replaced: ${e.designator}${e.partOut ? `, ${e.partOut} out` : ''}, ${e.partIn} in.`] : []),
    ...events.flatMap(e => e.kind === 'treated' ? [`${e.what[0]!.toUpperCase()}${e.what.slice(1)}${e.where ? `, ${e.where}` : ''}.`] : []),
    ...events.flatMap(e => e.kind === 'soak-ended' ? [e.passed ? 'Ran for hours on the bench without a fault.' : `The long run showed: ${e.text}`] : []),
  ]
}

/** What is still open, as an owner needs to know it: unfinished measuring in one line, the rest item by item. */
export function openForOwner(items: readonly OpenItem[]): string[] {
  const open = items.filter(i => i.settled === null)
  const unfinished = open.filter(i => i.kind === 'step-open' || i.kind.startsWith('as-'))
  return [
    ...(unfinished.length > 0 ? ['Measuring and alignment are not finished.'] : []),
    ...open.filter(i => !unfinished.includes(i)).map(i => `${i.title}: ${i.detail}.`),
  ]
}

export function rulesWords(rules: RuleSet): string {
  return `Rule set ${rules.id}, ${rules.name}: ${rules.source}, as of ${rules.asOf}${rules.fromMemory ? ', written down from memory: check the current text' : ''}. Local regulation and licensed practice decide.`
}

export const HANDOVER_CAUTIONS: readonly string[] = [
  'Fuse and polarity first when the set is connected.',
  'Never transmit without antenna or dummy load. Check the SWR of the antenna.',
  'No external amplifier and no changed coverage where they are forbidden.',
  'CB and amateur transmitters are regulated nationally: power, mode, channels, deviation, type approval.',
]
