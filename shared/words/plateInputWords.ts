import { groupDigits, showPlain } from '#core/quantity'
import { plateInputs, type PlateInput, type RowState } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { t, translated } from '#shared/i18n'

const watts = (value: number) => showPlain(Number(value.toPrecision(3)), 'powerW')
const percent = (ratio: number) => groupDigits(100 * ratio, 0)
const within = (bound: number | null, show: (bound: number) => string) =>
  bound === null ? '' : ` \u00b1${show(Number(bound.toPrecision(2)))}`

function rowWords({ point, inputW, inputBoundW, outputW, outputRatio, ratioBound }: PlateInput): string {
  return t('run.plateInputRow', {
    row: translated(point.title),
    input: watts(inputW) + within(inputBoundW, watts),
    output: watts(outputW),
    share: percent(outputRatio) + within(ratioBound, percent),
  })
}

/** What a valve stage takes and gives, and what it must turn into heat while it is not tuned. */
export function plateInputWords(sheet: ModelSheet, rows: readonly RowState[]): string[] {
  const all = plateInputs(sheet, rows)
  if (all.length === 0) return []
  const most = Math.max(...all.map(p => p.inputW))
  const list = all.map(rowWords).join('; ')
  return [t('run.plateInput', { volts: groupDigits(sheet.plateV!, 0), list, most: watts(most) })]
}
