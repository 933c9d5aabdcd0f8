import { itemTitle, itemDetail } from './itemWords'
import { t, type MessageCode, translated } from '#shared/i18n'
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
const plain = (quantity: Quantity) => {
  const word = quantityInfo(quantity).ownerWord
  return word === undefined ? null : translated(word)
}

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
        ? ` ${t('owner.moreThan100WasOverModulation')}`
        : ''
    return t('owner.whenItCameNow', {
      title: c.point.title,
      plain: plain(c.want.quantity),
      before: before.value,
      unitBefore: before.unit,
      after: after.value,
      unitAfter: after.unit,
      over,
    })
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
    const why = c.before.judgement?.verdict === 'above' ? ` ${t('owner.itWasAboveItsLimit')}` : ''
    const heard =
      Math.abs(db) < AUDIBLE_DB
        ? ` ${t('owner.aDifferenceOfDbCannotBe', { differenceDb: groupDigits(Math.abs(db), 1) })}`
        : ''
    return [
      t('owner.aMeterNowReadsWInstead', {
        title: c.point.title,
        after: groupDigits(after, 1),
        before: groupDigits(before, 1),
        db: groupDigits(db, 1, true),
        why,
        heard,
      }),
    ]
  })
}

const BY_WORDS: Record<CarrierAdvice['by'], MessageCode> = {
  'rule': 'owner.limitOfTheRuleSet',
  'target': 'owner.theTargetOfTheServiceSheet',
  'quarter-of-pep': 'owner.aQuarterOfThePepOf',
  'as-left': 'owner.asItWasLeft',
}

/** How high to leave the AM carrier, with the position of its control. */
export function carrierWords({ maxW, by, asLeftW, setting }: CarrierAdvice): string {
  const at = setting ? ` (${setting})` : ''
  const now = by === 'as-left' ? '' : ` ${t('owner.itIsAtWTurnIt', { asLeftW: groupDigits(asLeftW, 1), at })}`
  return t('owner.amCarrierWMaxALarger', {
    maxW: groupDigits(maxW, 1),
    by: t(BY_WORDS[by]),
    what: by === 'as-left' ? at : '',
    now,
  })
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
      ? t('owner.supplyVMainsFuseAsRated', { nominalSupplyV: sheet.nominalSupplyV })
      : t('owner.supplyVDcFuseAsRated', { nominalSupplyV: sheet.nominalSupplyV }),
    t('owner.neverTransmitWithoutAnAntennaOr'),
    ...(advice ? [carrierWords(advice)] : []),
    ...(hasAm && hasLimiter ? [t('owner.setTheMicrophoneGainForClear')] : []),
    ...(sheet.matrix.some(p => p.state.lowPower) ? [t('owner.useLowPowerWithHighAntennas')] : []),
    t('owner.noExternalAmplifierAndNoChanged'),
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
  return titles.length > 0 ? [t('owner.checkedAndWithinTolerance', { list: titles.join(', ') })] : []
}

const ITEM_STATES = {
  treated: 'owner.putRight',
  ask: 'owner.forTheOwnerToDecide',
  seen: 'owner.defectFound',
} as const

/** What was found and mended, from the record. */
export function mendedWords(sheet: ModelSheet, events: readonly JobEvent[]): string[] {
  const seen = new Map(events.flatMap(e => (e.kind === 'item-inspected' ? [[e.itemId, e] as const] : [])))
  return [
    ...inspectionItems(sheet).flatMap(i => {
      const last = seen.get(i.id)
      return last && last.state !== 'fine'
        ? [
            sentence(
              `${translated(i.lookFor)}: ${t(ITEM_STATES[last.state])}${last.text ? `, ${last.text}` : ''}`,
            ),
          ]
        : []
    }),
    ...events.flatMap(e =>
      e.kind === 'cause-confirmed' ? [t('owner.found', { title: translated(causeOf(e.causeId).title) })] : [],
    ),
    ...events.flatMap(e =>
      e.kind === 'part-changed'
        ? [
            t('owner.replacedFitted', {
              designator: e.designator,
              what: e.partOut ? t('owner.removed', { partOut: e.partOut }) : '',
              partIn: e.partIn,
            }),
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
    ? t('owner.soakTestedForNoFaultSeen', { duration: durationWords(lengthMs) })
    : t('owner.soakTestOf', { duration: durationWords(lengthMs), text })
}

/**
 * What is still open, as an owner needs to know it: unfinished measuring in one line, the rest item by item.
 */
export function openForOwner(items: readonly OpenItem[]): string[] {
  const open = items.filter(i => i.settled === null)
  const unfinished = open.filter(i => i.kind === 'step-open' || i.kind.startsWith('as-'))
  return [
    ...(unfinished.length > 0 ? [t('owner.measurementAndAlignmentAreNotFinished')] : []),
    ...open.filter(i => !unfinished.includes(i)).map(i => sentence(`${itemTitle(i)}: ${itemDetail(i)}`)),
  ]
}

export function rulesWords(rules: RuleSet): string {
  const memory = rules.fromMemory ? t('owner.unverifiedCheckAgainstTheCurrentText') : ''
  return t('owner.ruleSetAsOfLocalRegulation', {
    id: rules.id,
    name: rules.name,
    source: rules.source,
    asOf: rules.asOf,
    memory,
  })
}

/** The cautions that go with every set of its kind. */
export function handoverCautions(sheet: ModelSheet): string[] {
  const isMains = sheet.nominalSupplyV > MAINS_V
  return [
    isMains ? t('owner.mainsSetCheckEarthAndFuse') : t('owner.checkFuseAndPolarityBeforeConnecting'),
    ...(sheet.plateV === undefined ? [] : [t('owner.vInsideLethalCoversStayOn', { plateV: sheet.plateV })]),
    t('owner.neverTransmitWithoutAntennaOrDummy'),
    t('owner.noExternalAmplifierAndNoChanged'),
    t('owner.cbAndAmateurTransmittersAreRegulated'),
  ]
}
