import { t, translated } from '#shared/i18n'
import { dbToPowerRatio, groupDigits, powerRatioToDb, quantityInfo, type Quantity } from '#core/quantity'
import type { ComparedCell } from '#core/run'
import { modulationOf, type ModelSheet } from '#core/sheet'
import { isJudged, lastSide, rangeWords, shownCell, type Side } from './compareGauge'
import { statusWord } from './verdictWords'
import { midSentence } from './sentence'

/** What an owner is told of the readings: no jargon, no designators. */

/** A change of level that a person at the other end can notice [dB] (common practice). */
const AUDIBLE_DB = 1

/** A quantity as an owner would call it; null = an owner is not told of it. */
const plain = (quantity: Quantity) => {
  const word = quantityInfo(quantity).ownerWord
  return word === undefined ? null : translated(word)
}

/** Measured on both days under the same conditions. */
const isComparable = (c: ComparedCell) =>
  c.before.latest !== null && c.after.latest !== null && c.differences !== null && c.differences.length === 0

/**
 * The names of the two, where a set was read before and after under the same conditions on two instruments
 * that are both known: no change can be told in figures, but both readings stand. null = anything else
 */
function onTwoInstruments({ before, differences }: ComparedCell) {
  const [only, another] = differences ?? []
  if (another || only?.kind !== 'instrument' || only.before === null || only.after === null) return null
  if (before.latest?.isAfterWork) return null
  return { instrumentBefore: translated(only.before), instrumentAfter: translated(only.after) }
}

/** What an owner is told of the readings: before and after, or how it is where only one was asked for. */
export const measuredWords = (
  sheet: ModelSheet,
  cells: readonly ComparedCell[],
  sides: readonly Side[],
): string[] =>
  sides.length === 2 ? beforeAfterWords(sheet, cells) : readingWords(sheet, cells, lastSide(sides))

/** What was and what is, one row of each kind: enough for an owner, the rest stands in the shop's copy. */
function beforeAfterWords(sheet: ModelSheet, cells: readonly ComparedCell[]): string[] {
  const told = cells.filter(
    c =>
      plain(c.want.quantity) &&
      (isJudged(c) || c.want.quantity === 'depthPositiveRatio') &&
      (isComparable(c) || onTwoInstruments(c) !== null),
  )
  return middleOfEach(sheet, told).map(c => {
    const [before, after] = [shownCell(c.before)!, shownCell(c.after)!]
    const over =
      c.want.quantity.startsWith('depth') && c.before.latest!.reading.value > 1
        ? ` ${t('owner.moreThan100WasOverModulation')}`
        : ''
    const two = onTwoInstruments(c)
    // A set that was worked on before it was read is no longer how it came.
    const values = {
      title: c.point.title,
      plain: plain(c.want.quantity),
      before: before.value,
      unitBefore: before.unit,
      after: after.value,
      unitAfter: after.unit,
      over,
    }
    if (two) return t('owner.onTwoInstruments', { ...values, ...two })
    return t(c.before.latest!.isAfterWork ? 'owner.whenFirstReadNow' : 'owner.whenItCameNow', values)
  })
}

/** How it is, where one phase alone was measured: one row of each kind, and each that is not within. */
function readingWords(sheet: ModelSheet, cells: readonly ComparedCell[], side: Side): string[] {
  const told = cells.filter(c => plain(c.want.quantity) && isJudged(c) && c[side].latest !== null)
  const middle = new Set(middleOfEach(sheet, told))
  return told
    .filter(c => middle.has(c) || c[side].judgement!.verdict !== 'inside')
    .map(c => {
      const { value, unit } = shownCell(c[side])!
      return t('owner.isMeasured', {
        title: c.point.title,
        plain: plain(c.want.quantity),
        value,
        unit,
        verdict: midSentence(statusWord(c[side].judgement!.verdict)),
        range: rangeWords(c),
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
    const { mode, lowPower, powerPosition, setting, toneHz, toneV, inputV, keyed } = c.point.state
    const key = JSON.stringify([
      c.want.quantity,
      mode,
      lowPower,
      powerPosition,
      setting,
      modulationOf(c.point.state),
      toneHz,
      toneV,
      inputV,
      keyed,
    ])
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
    const watts = { after: groupDigits(after, 1), before: groupDigits(before, 1), title: c.point.title }
    if (modulationOf(c.point.state) === 'speech') return [t('owner.swingsLess', { ...watts })]
    const db = powerRatioToDb(after / before)
    const why = c.before.judgement?.verdict === 'above' ? ` ${t('owner.itWasAboveItsLimit')}` : ''
    const heard =
      Math.abs(db) < AUDIBLE_DB
        ? ` ${t('owner.aDifferenceOfDbCannotBe', { differenceDb: groupDigits(Math.abs(db), 1) })}`
        : ''
    return [
      t('owner.aMeterNowReadsWInstead', {
        ...watts,
        db: groupDigits(db, 1, true),
        why,
        heard,
      }),
    ]
  })
}
