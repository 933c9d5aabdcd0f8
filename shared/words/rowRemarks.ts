import type { ComparedCell, RowState } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { t } from '#shared/i18n'
import { SIDE_WORDS, type Side } from './compareGauge'
import { lateWords } from './lateWords'
import { panelMeterWords } from './panelMeterWords'
import { plateInputWords } from './plateInputWords'
import { rangeWordsOfCompared, rangeWordsOfRows } from './powerRangeWords'
import { rowGainWords } from './rowGainWords'
import { speechWords, toneWords } from './speechWords'

/**
 * What several rows of one phase say together: what was read too late to be as found, reach of the power
 * controls, the panel meter at two levels, speech against the carrier, plate input of valves.
 */
export const remarksOfRows = (
  sheet: ModelSheet,
  rows: readonly RowState[],
  phase: 'as-found' | 'as-left',
): string[] => [
  ...(phase === 'as-found' ? lateWords(rows) : []),
  ...rangeWordsOfRows(sheet, rows),
  ...panelMeterWords(rows),
  ...toneWords(rows),
  ...speechWords(rows),
  ...plateInputWords(sheet, rows),
  ...rowGainWords(rows),
]

export interface BothPhases {
  readonly compared: readonly ComparedCell[]
  readonly asFound: readonly RowState[]
  readonly asLeft: readonly RowState[]
}

/** The same of as found and as left side by side; a panel meter counts as it was left. */
export const remarksOfCompared = (
  sheet: ModelSheet,
  { compared, asFound, asLeft }: BothPhases,
  sides: readonly Side[],
): string[] => [
  ...lateWords(asFound),
  ...rangeWordsOfCompared(sheet, compared, sides),
  ...panelMeterWords(asLeft),
  ...sides.flatMap(side => {
    const rows = side === 'before' ? asFound : asLeft
    return [
      ...toneWords(rows),
      ...speechWords(rows),
      ...plateInputWords(sheet, rows),
      ...rowGainWords(rows),
    ].map(w => `${t(SIDE_WORDS[side])}: ${w}`)
  }),
]
