import { challenges, type Challenge } from '../../core/diagnose'
import { groupDigits, hzToPpm, showPlain, type Quantity, type Reading } from '../../core/quantity'
import { asked, type RowConditions, type RowState } from '../../core/run'
import type { RuleSet } from '../../core/rules'
import type { MeasurePoint, ModelSheet } from '../../core/sheet'

/** Why a reading cannot be true, with the limit that it breaks and what to look at. */
export function challengeWords(c: Challenge): string {
  switch (c.rule) {
    case 'P04': return `Average ${showPlain(c.meanW, 'powerW')} above PEP ${showPlain(c.pepW, 'pepW')}: that cannot be. Are the two exchanged?`
    case 'P06': return `${showPlain(c.meanW, 'powerW')} of RF from ${groupDigits(c.inputW, 1)} W of DC is ${Math.round(c.meanW / c.inputW * 100)} %; above ${c.mostRatio * 100} % one of the readings is wrong.`
    case 'P10': return `${showPlain(c.readW, 'powerW')} is ${c.factor} times ${groupDigits(c.likelyW, 1)} W: check the range of the meter.`
    case 'P11': return `${showPlain(c.readHz, c.quantity)} is ${offWords(c.readHz - c.nominalHz, c.nominalHz)} off: no crystal does that.${c.likelyHz.length > 0 ? ` Meant ${c.likelyHz.map(hz => showPlain(hz, c.quantity)).join(' or ')}?` : ''}`
    case 'P12': return `${showPlain(c.readHz, 'carrierHz')} is channel ${c.channel} of the plan ${c.planName}; on this set it is ${showPlain(c.nominalHz, 'carrierHz')}.`
    case 'P33': return `${showPlain(c.readV, 'sensitivityV')} for 12 dB SINAD is better than physics allows (${groupDigits(c.leastV * 1e6, 3)} \u00b5V). Leakage, wrong port, or another unit?`
    case 'P37': return `${showPlain(c.readHz, c.quantity)} of deviation without a tone: hum or noise, or the tone is on.`
  }
}

function offWords(errorHz: number, nominalHz: number): string {
  const ppm = hzToPpm(errorHz, nominalHz)
  return Math.abs(errorHz) < 1e5 ? `${groupDigits(errorHz / 1000, 1, true)} kHz` : `${groupDigits(ppm, 0, true)} ppm`
}

/** What is doubtful about a row, in words. */
export function doubtsOf(sheet: ModelSheet, rules: RuleSet, point: MeasurePoint, conditions: RowConditions, readings: readonly Reading[]): string[] {
  const askedOf = (quantity: Quantity) => {
    const want = point.wants.find(w => w.quantity === quantity)
    return want ? asked(sheet, rules, want, point.state) : null
  }
  return challenges({ sheet, point, conditions, readings, askedOf }).map(challengeWords)
}

/** The same for a row of the matrix, from the readings that count in it. */
export function rowDoubts(sheet: ModelSheet, rules: RuleSet, row: RowState): string[] {
  return row.row ? doubtsOf(sheet, rules, row.point, row.row.conditions, row.cells.flatMap(c => c.latest ? [c.latest.reading] : [])) : []
}
