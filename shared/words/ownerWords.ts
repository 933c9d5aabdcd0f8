import { dbToPowerRatio, groupDigits, powerRatioToDb, quantityInfo, type Quantity } from '#core/quantity'
import type { CarrierAdvice } from '#core/handover'
import type { ComparedCell, JobEvent, OpenItem, RunState } from '#core/run'
import type { RuleSet } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import { causeOf } from '#core/diagnose'
import { LIMITER_ITEM, inspectionItems, soaks } from '#core/work'
import { isJudged, shownCell } from './compareGauge'
import { sentence } from './sentence'
import { durationWords } from './workWords'

/** The handover in words that an owner understands: no jargon, no designators. */

/** A change of level that a person at the other end can notice [dB] (common practice). */
const AUDIBLE_DB = 1
/** Supplies above this are mains: polarity is no question [V]. */
const MAINS_V = 60

/** A quantity as an owner would call it; null = an owner is not told of it. */
const plain = (quantity: Quantity) => quantityInfo(quantity).ownerWord ?? null

/** Measured on both days under the same conditions. */
const isComparable = (c: ComparedCell) =>
  c.before.latest !== null && c.after.latest !== null && c.differences !== null && c.differences.length === 0

/** What was and what is, one row of each kind: enough for an owner, the rest stands in the shop's copy. */
export function beforeAfterWords(sheet: ModelSheet, cells: readonly ComparedCell[]): string[] {
  const told = cells.filter(
    c =>
      plain(c.want.quantity) && (isJudged(c) || c.want.quantity === 'depthPositiveRatio') && isComparable(c),
  )
  return middleOfEach(sheet, told).map(c => {
    const [before, after] = [shownCell(c.before)!, shownCell(c.after)!]
    const over =
      c.want.quantity.startsWith('depth') && c.before.latest!.reading.value > 1
        ? ' More than 100 % was over-modulation, not loudness.'
        : ''
    return (
      `${c.point.title}: ${plain(c.want.quantity)} ${before.value} ` +
      `${before.unit} when it came, ${after.value} ${after.unit} now.${over}`
    )
  })
}

/**
 * Of rows that differ by their channel only the middle one: of the channels that the sheet judges the set by,
 * where there are such.
 */
function middleOfEach(sheet: ModelSheet, cells: readonly ComparedCell[]): ComparedCell[] {
  const { fromChannel, toChannel } = sheet.main
  const groups = new Map<string, ComparedCell[]>()
  for (const c of cells) {
    const { mode, lowPower, setting, toneHz, toneV, inputV, keyed } = c.point.state
    const key = JSON.stringify([c.want.quantity, mode, lowPower, setting, toneHz, toneV, inputV, keyed])
    groups.set(key, [...(groups.get(key) ?? []), c])
  }
  return [...groups.values()].map(group => {
    const inMain = group.filter(
      ({
        point: {
          state: { channel },
        },
      }) => channel !== null && channel >= fromChannel && channel <= toChannel,
    )
    const rows = (inMain.length > 0 ? inMain : group).toSorted(
      (a, b) => (a.point.state.channel ?? 0) - (b.point.state.channel ?? 0),
    )
    return rows[Math.floor((rows.length - 1) / 2)]!
  })
}

/** Why the meter may now show less, where it does; a cause only where it was measured. */
export function lessPowerWords(sheet: ModelSheet, cells: readonly ComparedCell[]): string[] {
  const powers = cells.filter(c => c.want.quantity === 'powerW' && c.point.state.keyed && isComparable(c))
  return middleOfEach(sheet, powers).flatMap(c => {
    const [before, after] = [c.before.latest!.reading.value, c.after.latest!.reading.value]
    if (!(before > 0) || !(after > 0) || after >= before * dbToPowerRatio(-0.2)) return []
    const db = powerRatioToDb(after / before)
    const why = c.before.judgement?.verdict === 'above' ? ' It was above its limit.' : ''
    const heard =
      Math.abs(db) < AUDIBLE_DB ? ` A difference of ${groupDigits(Math.abs(db), 1)} dB cannot be heard.` : ''
    return [
      `${c.point.title}: a meter now reads ${groupDigits(after, 1)} W instead of ` +
        `${groupDigits(before, 1)} W (${groupDigits(db, 1, true)} dB).${why}${heard}`,
    ]
  })
}

const BY_WORDS: Record<CarrierAdvice['by'], string> = {
  'rule': 'limit of the rule set',
  'target': 'the target of the service sheet',
  'quarter-of-pep': 'a quarter of the PEP of the final',
  'as-left': 'as it was left',
}

/** How high to leave the AM carrier, with the position of its control. */
export function carrierWords({ maxW, by, asLeftW, setting }: CarrierAdvice): string {
  const at = setting ? ` (${setting})` : ''
  const now = by === 'as-left' ? '' : ` It is at ${groupDigits(asLeftW, 1)} W${at}: turn it down first.`
  return (
    `AM: carrier ${groupDigits(maxW, 1)} W max., ${BY_WORDS[by]}${by === 'as-left' ? at : ''}.${now} ` +
    'A larger carrier leaves no room for the voice and overheats the set.'
  )
}

/** How to run the set: only what the record and its sheet bear. */
export function operatingAdvice(
  sheet: ModelSheet,
  advice: CarrierAdvice | null,
  events: readonly JobEvent[],
): string[] {
  const hasLimiter = sheet.adjusters.some(a => a.role === 'modulation-preset') && !limiterMissing(events)
  const hasAm = sheet.matrix.some(p => p.state.mode === 'AM')
  return [
    sheet.nominalSupplyV > MAINS_V
      ? `Supply ${sheet.nominalSupplyV} V mains, fuse as rated.`
      : `Supply ${sheet.nominalSupplyV} V DC, fuse as rated. Check the polarity before it is connected.`,
    'Never transmit without an antenna or a dummy load; have the antenna SWR checked.',
    ...(advice ? [carrierWords(advice)] : []),
    ...(hasAm && hasLimiter
      ? ['Set the microphone gain for clear speech, not for maximum. Leave the limiter in the set.']
      : []),
    ...(sheet.matrix.some(p => p.state.lowPower)
      ? ['Use low power with high antennas and near stations.']
      : []),
    'No external amplifier and no changed coverage where they are forbidden.',
  ]
}

/** Seen on inspection as a defect, and not put right since. */
function limiterMissing(events: readonly JobEvent[]): boolean {
  const looks = events.filter(e => e.kind === 'item-inspected').filter(e => e.itemId === LIMITER_ITEM)
  return looks.at(-1)?.state === 'seen'
}

/** What was measured in the alignment, by the names of the steps. */
export function alignedWords(run: RunState): string[] {
  const titles = run.steps
    .filter(s => s.satisfied && s.status === 'inside')
    .map(s => s.step.title.toLowerCase())
  return titles.length > 0 ? [`Checked and within tolerance: ${titles.join(', ')}.`] : []
}

const ITEM_STATES = { treated: 'put right', ask: 'for the owner to decide', seen: 'defect found' } as const

/** What was found and mended, from the record. */
export function mendedWords(sheet: ModelSheet, events: readonly JobEvent[]): string[] {
  const seen = new Map(events.flatMap(e => (e.kind === 'item-inspected' ? [[e.itemId, e] as const] : [])))
  return [
    ...inspectionItems(sheet).flatMap(i => {
      const last = seen.get(i.id)
      return last && last.state !== 'fine'
        ? [sentence(`${i.lookFor}: ${ITEM_STATES[last.state]}${last.text ? `, ${last.text}` : ''}`)]
        : []
    }),
    ...events.flatMap(e => (e.kind === 'cause-confirmed' ? [`Found: ${causeOf(e.causeId).title}.`] : [])),
    ...events.flatMap(e =>
      e.kind === 'part-changed'
        ? [
            'Replaced: ' +
              `${e.designator}${e.partOut ? `, ${e.partOut} removed` : ''}, ` +
              `${e.partIn} fitted.`,
          ]
        : [],
    ),
    ...events.flatMap(e =>
      e.kind === 'treated'
        ? [`${e.what[0]!.toUpperCase()}${e.what.slice(1)}${e.where ? `, ${e.where}` : ''}.`]
        : [],
    ),
    ...soaks(events).flatMap(s => (s.ended ? [soakWords(s.ended.atMs - s.begun.atMs, s.ended)] : [])),
  ]
}

function soakWords(lengthMs: number, { passed, text }: { passed: boolean; text: string }): string {
  return passed
    ? `Soak-tested for ${durationWords(lengthMs)}: no fault seen.`
    : `Soak test of ${durationWords(lengthMs)}: ${text}`
}

/**
 * What is still open, as an owner needs to know it: unfinished measuring in one line, the rest item by item.
 */
export function openForOwner(items: readonly OpenItem[]): string[] {
  const open = items.filter(i => i.settled === null)
  const unfinished = open.filter(i => i.kind === 'step-open' || i.kind.startsWith('as-'))
  return [
    ...(unfinished.length > 0 ? ['Measurement and alignment are not finished.'] : []),
    ...open.filter(i => !unfinished.includes(i)).map(i => sentence(`${i.title}: ${i.detail}`)),
  ]
}

export function rulesWords(rules: RuleSet): string {
  const memory = rules.fromMemory ? ', unverified: check against the current text' : ''
  return (
    `Rule set ${rules.id}, ${rules.name}: ${rules.source}, as of ` +
    `${rules.asOf}${memory}. Local regulation and licensed practice decide.`
  )
}

/** The cautions that go with every set of its kind. */
export function handoverCautions(sheet: ModelSheet): string[] {
  const isMains = sheet.nominalSupplyV > MAINS_V
  return [
    isMains
      ? 'Mains set: check earth and fuse before connecting.'
      : 'Check fuse and polarity before connecting.',
    ...(sheet.plateV === undefined
      ? []
      : [`${sheet.plateV} V inside, lethal: covers stay on. Competent persons only.`]),
    'Never transmit without antenna or dummy load. Check the antenna SWR.',
    'No external amplifier and no changed coverage where they are forbidden.',
    'CB and amateur transmitters are regulated nationally: ' +
      'power, mode, channels, deviation, type approval.',
  ]
}
