import type { Reading } from '../../quantity'
import { panelTickA } from '../../run'
import type { Challenge, RowUnderDoubt } from './challenge'

/** Below this share of its scale a meter of a full-scale class says nothing (C29). */
const WORTHLESS_SHARE = 0.1
/** A needle is read to half a division; this far from one is no reading of that scale. */
const HALF_TICK_SLACK = 0.1

/** Readings that their meter cannot give: off its scale (P09), between half divisions (P26). */
export function scaleChallenges(row: RowUnderDoubt): Challenge[] {
  return row.readings.flatMap(reading => [...offScale(reading, row), ...betweenTicks(reading, row)])
}

/** What was written down as a bound says itself that the needle was at its stop. */
function offScale(reading: Reading, row: RowUnderDoubt): Challenge[] {
  // The scale that was in use then, not the one that is in use now.
  const fullScale = reading.fullScale ?? row.meterOf(reading)?.fullScale ?? null
  if (fullScale === null || reading.bound) return []
  const atLow = reading.value < WORTHLESS_SHARE * fullScale ? 'low' : null
  const side = reading.value > fullScale ? 'beyond' : atLow
  return side ? [{ rule: 'P09', quantity: reading.quantity, read: reading.value, fullScale, side }] : []
}

/** On the set's own meter, whose divisions the sheet knows; those of another set say nothing. */
function betweenTicks(reading: Reading, row: RowUnderDoubt): Challenge[] {
  const isOwnMeter = (row.meterOf(reading)?.tick ?? null) !== null
  const tick = isOwnMeter ? panelTickA(row.sheet) : null
  if (tick === null || reading.bound) return []
  const halves = reading.value / (tick / 2)
  return Math.abs(halves - Math.round(halves)) > HALF_TICK_SLACK
    ? [{ rule: 'P26', quantity: reading.quantity, read: reading.value, tick }]
    : []
}
