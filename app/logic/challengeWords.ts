import { challenges, type Challenge } from '../../core/diagnose'
import { groupDigits, hzToPpm, showPlain, type Quantity, type Reading } from '../../core/quantity'
import { asked, type RowConditions, type RowState } from '../../core/run'
import type { RuleSet } from '../../core/rules'
import type { MeasurePoint, ModelSheet } from '../../core/sheet'

/** Why a reading cannot be true, with the limit that it breaks and what to look at. */
export function challengeWords(c: Challenge): string {
  switch (c.rule) {
    case 'P01': return `${groupDigits(c.readDb, 1)} dB SINAD at ${showPlain(c.inputV, 'sensitivityV')} is more than physics allows (${groupDigits(c.mostDb, 1)} dB). Leakage, wrong port or unit: pull the cable and see whether the signal stays.`
    case 'P03': return `Depth ${percent(c.readRatio)} on the meter, ${percent(c.byPepRatio)} by PEP against the carrier: one of them is wrong, or the crest is clipped. Settle it with a steady tone.`
    case 'P04': return `Average ${showPlain(c.meanW, 'powerW')} above PEP ${showPlain(c.pepW, 'pepW')}: that cannot be. Are the two exchanged?`
    case 'P05': return `Average ${showPlain(c.meanW, 'powerW')} on a carrier of ${showPlain(c.carrierW, 'powerW')}: at this depth a true mean shows at most ${groupDigits(c.mostW, 1)} W. This meter is no true-mean instrument.`
    case 'P06': return `${showPlain(c.meanW, 'powerW')} of RF from ${groupDigits(c.inputW, 1)} W of DC is ${Math.round(c.meanW / c.inputW * 100)} %; above ${c.mostRatio * 100} % one of the readings is wrong.`
    case 'P10': return `${showPlain(c.readW, 'powerW')} is ${c.factor} times ${groupDigits(c.likelyW, 1)} W: check the range of the meter.`
    case 'P11': return `${showPlain(c.readHz, c.quantity)} is ${offWords(c.readHz - c.nominalHz, c.nominalHz)} off: no crystal does that.${c.likelyHz.length > 0 ? ` Meant ${c.likelyHz.map(hz => showPlain(hz, c.quantity)).join(' or ')}?` : ''}`
    case 'P12': return `${showPlain(c.readHz, 'carrierHz')} is channel ${c.channel} of the plan ${c.planName}; on this set it is ${showPlain(c.nominalHz, 'carrierHz')}.`
    case 'P16': return `A trough of ${percent(c.readRatio)}: it cannot be deeper than the carrier. Is it the crest, or does the meter extrapolate?`
    case 'P24': return `PEP ${showPlain(c.pepW, 'pepW')} on a carrier of ${showPlain(c.carrierW, 'powerW')} is ${percent(c.byPepRatio)}: over-modulated, or the meter overshoots. Not clean on power alone.`
    case 'P33': return `${showPlain(c.readV, 'sensitivityV')} for 12 dB SINAD is better than physics allows (${groupDigits(c.leastV * 1e6, 3)} \u00b5V). Leakage, wrong port, or another unit?`
    case 'P37': return `${showPlain(c.readHz, c.quantity)} of deviation without a tone: hum or noise, or the tone is on.`
  }
}

const percent = (ratio: number) => `${groupDigits(ratio * 100, 0)} %`

function offWords(errorHz: number, nominalHz: number): string {
  const ppm = hzToPpm(errorHz, nominalHz)
  return Math.abs(errorHz) < 1e5 ? `${groupDigits(errorHz / 1000, 1, true)} kHz` : `${groupDigits(ppm, 0, true)} ppm`
}

/** What is doubtful about a row, in words. */
export function doubtsOf(sheet: ModelSheet, rules: RuleSet, point: MeasurePoint, conditions: RowConditions, readings: readonly Reading[], rows: readonly RowState[]): string[] {
  const askedOf = (quantity: Quantity) => {
    const want = point.wants.find(w => w.quantity === quantity)
    return want ? asked(sheet, rules, want, point.state) : null
  }
  return challenges({ sheet, point, conditions, readings, askedOf, carrierW: carrierOn(rows, point) }).map(challengeWords)
}

/** The unmodulated carrier that a modulated row of the same channel is held against. */
function carrierOn(rows: readonly RowState[], point: MeasurePoint): number | null {
  const { channel, mode, lowPower } = point.state
  const row = rows.find(({ point: { state: s } }) => s.keyed && s.toneHz === null && s.channel === channel && s.mode === mode && s.lowPower === lowPower)
  return row?.cells.find(c => c.want.quantity === 'powerW')?.latest?.reading.value ?? null
}

/** The same for a row of the matrix, from the readings that count in it. */
export function rowDoubts(sheet: ModelSheet, rules: RuleSet, row: RowState, rows: readonly RowState[]): string[] {
  return row.row ? doubtsOf(sheet, rules, row.point, row.row.conditions, row.cells.flatMap(c => c.latest ? [c.latest.reading] : []), rows) : []
}
