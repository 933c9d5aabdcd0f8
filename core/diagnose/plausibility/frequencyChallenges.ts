import { CHANNEL_PLANS, channelHz, channelName, nearestChannel, planOf } from '../../rules'
import { expandedUncertainty, type Reading } from '../../quantity'
import { readingIn, type Challenge, type RowUnderDoubt } from './challenge'

/** No crystal is further off its reference (common practice: beyond it a digit is wrong) [ppm]. */
const MAX_REFERENCE_PPM = 200
/** No locked set is further off its channel [Hz]. */
const MAX_CARRIER_HZ = 5000
/** A set in repair is hardly further off its channel; a mistyped digit is rarely so near one [Hz]. */
const MAX_OTHER_CHANNEL_HZ = 1000

/**
 * Frequencies of a row that no crystal produces: a mistyped number, with the forms that would be plausible
 * (P11), another channel of the set (P42), or the channel of another plan under the same number (P12).
 */
export function frequencyChallenges(row: RowUnderDoubt): Challenge[] {
  return (['carrierHz', 'referenceHz'] as const).flatMap(quantity => {
    const reading = readingIn(row, quantity)
    const nominalHz =
      quantity === 'carrierHz' ? carrierNominal(row) : (row.askedOf(quantity)?.nominalHz ?? null)
    if (!reading || nominalHz === null) return []
    const maxHz = quantity === 'carrierHz' ? MAX_CARRIER_HZ : nominalHz * MAX_REFERENCE_PPM * 1e-6
    if (Math.abs(reading.value - nominalHz) <= maxHz) return missingDigits(reading, quantity, row)
    const other =
      quantity === 'carrierHz'
        ? (otherChannel(row, reading.value) ?? otherPlan(row, reading.value, nominalHz))
        : []
    if (other.length > 0) return other
    const likelyHz = plausibleForms(reading.value).filter(hz => Math.abs(hz - nominalHz) <= maxHz)
    return [{ rule: 'P11', quantity, readHz: reading.value, nominalHz, likelyHz } as const]
  })
}

/** Typed with fewer digits than the tolerance asks for: read them all before anything is judged (P40). */
function missingDigits(
  reading: Reading,
  quantity: 'carrierHz' | 'referenceHz',
  row: RowUnderDoubt,
): Challenge[] {
  const window = row.askedOf(quantity)?.window
  if (
    reading.source !== 'typed' ||
    reading.standardUncertainty === null ||
    window?.low == null ||
    window.high == null
  )
    return []
  const boundHz = expandedUncertainty(reading) ?? 0
  const windowHz = window.high - window.low
  return boundHz > windowHz ? [{ rule: 'P40', quantity, readHz: reading.value, boundHz, windowHz }] : []
}

function carrierNominal(row: RowUnderDoubt): number | null {
  const { channel } = row.conditions
  return channel === null ? null : channelHz(planOf(row.sheet), channel)
}

/** A set that is on the wrong channel, or the wrong band, is on its frequency there. */
function otherChannel({ sheet, conditions }: RowUnderDoubt, readHz: number): Challenge[] | null {
  const plan = planOf(sheet)
  const { channel, errorHz } = nearestChannel(plan, readHz)
  if (channel === conditions.channel || Math.abs(errorHz) > MAX_OTHER_CHANNEL_HZ) return null
  const names = {
    channelName: channelName(plan, channel),
    rowChannelName: channelName(plan, conditions.channel!),
  }
  return [{ rule: 'P42', quantity: 'carrierHz', readHz, ...names }]
}

function otherPlan(row: RowUnderDoubt, readHz: number, nominalHz: number): Challenge[] {
  const channel = row.conditions.channel!
  const plan = CHANNEL_PLANS.find(
    p =>
      p.id !== row.sheet.planId &&
      Math.abs((p.channelsHz[channel - 1] ?? Infinity) - readHz) <= MAX_CARRIER_HZ,
  )
  return plan ? [{ rule: 'P12', quantity: 'carrierHz', readHz, channel, planName: plan.name, nominalHz }] : []
}

/**
 * What somebody may have meant: two neighbouring digits exchanged, one digit doubled or left out shifting the
 * rest, MHz written with the point one place off.
 * @param readHz as typed [Hz], at least 1
 * @example plausibleForms(10_420_100).includes(10_240_100) // => true
 */
export function plausibleForms(readHz: number): number[] {
  const digits = String(Math.round(readHz))
  const swapped = Array.from(
    { length: digits.length - 1 },
    (_, i) => digits.slice(0, i) + digits[i + 1] + digits[i] + digits.slice(i + 2),
  )
  const dropped = Array.from(
    { length: digits.length },
    (_, i) => `${digits.slice(0, i)}${digits.slice(i + 1)}0`,
  )
  return [
    ...new Set(
      [...swapped, ...dropped].map(Number).concat(readHz * 10, readHz / 10, readHz * 1000, readHz / 1000),
    ),
  ].filter(hz => hz !== readHz)
}
