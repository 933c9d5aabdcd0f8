import { expandedUncertainty, powerRatioToDb, type Reading } from '../../quantity'
import { channelHz, planOf } from '../../rules'
import { MAX_PLATE_RATIO } from '../../run'
import { readingIn, type Challenge, type RowUnderDoubt } from './challenge'

/** One setting read twice agrees within this (common practice: 2 %). */
const REPEATABLE = 0.02
/** Two readings called fully modulated agree within this [dB] (common practice). */
const FULL_DB = 0.3
/** Depth from here on is called "100 %". */
export const FULL_DEPTH = 0.98
/** However uncertain, a carrier that was read is this much of its reading at least [ratio]. */
const MIN_CARRIER = 0.1
const bound = (r: Reading) => expandedUncertainty(r) ?? 0

/**
 * Readings that contradict the rest of the set: tone on the wrong side (P13), two different "100 %" (P21),
 * more output than the plates take (P22), a repeat that moved (P23), more depth than the final has headroom
 * for (P25).
 */
export function rowChallenges(row: RowUnderDoubt): Challenge[] {
  return [...wrongSide(row), ...twoFulls(row), ...plateEfficiency(row), ...notRepeated(row), ...headroom(row)]
}

function wrongSide(row: RowUnderDoubt): Challenge[] {
  const { mode, toneHz, channel } = row.conditions
  const tone = readingIn(row, 'carrierHz')
  if (!tone || toneHz === null || channel === null || (mode !== 'USB' && mode !== 'LSB')) return []
  const offHz = tone.value - channelHz(planOf(row.sheet), channel)
  const wrong = mode === 'USB' ? offHz + bound(tone) < 0 : offHz - bound(tone) > 0
  return wrong ? [{ rule: 'P13', quantity: 'carrierHz', mode, offHz }] : []
}

function twoFulls(row: RowUnderDoubt): Challenge[] {
  const pep = readingIn(row, 'pepW')
  const depth = readingIn(row, 'depthNegativeRatio') ?? readingIn(row, 'depthPositiveRatio')
  if (!pep || !depth || depth.value < FULL_DEPTH || row.conditions.mode !== 'AM') return []
  if (!(pep.value > 0)) return []
  const other = row.otherFull.find(o => o.pepW > 0 && Math.abs(powerRatioToDb(pep.value / o.pepW)) > FULL_DB)
  return other
    ? [{ rule: 'P21', quantity: 'pepW', pepW: pep.value, otherW: other.pepW, otherTitle: other.title }]
    : []
}

function plateEfficiency(row: RowUnderDoubt): Challenge[] {
  const [output, plate] = [readingIn(row, 'powerW'), readingIn(row, 'plateA')]
  if (!output || !plate || row.sheet.plateV === undefined) return []
  const inputW = row.sheet.plateV * (plate.value + bound(plate))
  return output.value - bound(output) > MAX_PLATE_RATIO * inputW
    ? [{ rule: 'P22', quantity: 'powerW', outputW: output.value, inputW, maxRatio: MAX_PLATE_RATIO }]
    : []
}

/**
 * What the last digit of a number stands for, as it was written: 0.1 of 3.1; numbers of an instrument have
 * many digits.
 */
function lastDigit(value: number): number {
  const decimals = String(value).split('.')[1]?.length ?? 0
  return 10 ** -decimals
}

/** Only the same meter on the same scale can be held to its own repeatability, a needle to a share of it. */
function notRepeated(row: RowUnderDoubt): Challenge[] {
  const now = readingIn(row, 'powerW')
  const before = row.earlier('powerW')
  if (
    !now ||
    !before ||
    before.instrument !== now.instrument ||
    before.fullScale !== now.fullScale ||
    now.bound ||
    before.bound ||
    !(before.value > 0)
  )
    return []
  // Two displays of one power may differ by a digit, whatever share of it that is.
  const digit = Math.min(lastDigit(now.value), lastDigit(before.value))
  const share = REPEATABLE * Math.max(before.value, now.fullScale ?? 0)
  return Math.abs(now.value - before.value) > Math.max(share, digit * (1 + 1e-9))
    ? [{ rule: 'P23', quantity: 'powerW', beforeW: before.value, nowW: now.value }]
    : []
}

function headroom(row: RowUnderDoubt): Challenge[] {
  const depth = readingIn(row, 'depthPositiveRatio') ?? readingIn(row, 'depthNegativeRatio')
  const { carrierW, pepMostW } = row
  if (!depth || carrierW === null || pepMostW === null || !(carrierW > 0) || row.conditions.mode !== 'AM')
    return []
  // A carrier that reads high by its own uncertainty leaves less headroom than there is.
  const maxRatio = Math.sqrt(pepMostW / Math.max(carrierW - row.carrierBoundW, MIN_CARRIER * carrierW)) - 1
  // A carrier above that PEP is no matter of the depth meter: ALC holds SSB, or the regulator does not hold
  // AM.
  return maxRatio > 0 && depth.value - bound(depth) > maxRatio
    ? [
        {
          rule: 'P25',
          quantity: depth.quantity as 'depthPositiveRatio' | 'depthNegativeRatio',
          readRatio: depth.value,
          maxRatio,
          pepMostW,
        },
      ]
    : []
}
