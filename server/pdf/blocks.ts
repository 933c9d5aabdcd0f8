import { t } from '#shared/i18n'
import type { Content, ContentTable, TableCell } from 'pdfmake/interfaces'
import type { ComparedCell } from '#core/run'
import {
  SIDE_WORDS,
  cellName,
  compareGauge,
  isJudged,
  rangeWords,
  shownCell,
  type Side,
} from '#shared/words/compareGauge'
import { levelChangeWords } from '#shared/words/levelChangeWords'
import { differenceWords } from '#shared/words/runWords'
import { statusWord } from '#shared/words/verdictWords'
import { forkGaugeSvg } from './forkGaugeSvg'
import { runs } from './fonts'

/** Any text, in whatever embedded fonts its letters need. */
export function words(text: string, style: object = {}): Content {
  return { text: runs(text), ...style }
}

export function heading(text: string): Content {
  return words(text, { bold: true, fontSize: 12, margin: [0, 12, 0, 3] })
}

export function list(lines: readonly string[]): Content {
  return { ul: lines.map(l => words(l)), margin: [0, 0, 0, 2] }
}

export const HAIRLINE = {
  hLineWidth: (i: number) => (i === 0 ? 0 : 0.4),
  vLineWidth: () => 0,
  hLineColor: () => '#9aa7a2',
  paddingLeft: () => 0,
  paddingRight: () => 6,
  paddingTop: () => 2,
  paddingBottom: () => 2,
}

/**
 * Before and after, or one of them, row by row, with the fork gauge; a cell whose conditions differ says so
 * instead.
 */
export function compareTable(
  cells: readonly ComparedCell[],
  stale: ReadonlySet<string>,
  sides: readonly Side[],
): ContentTable {
  const head = [
    t('paper.row'),
    t('common.quantity'),
    ...sides.map(s => t(SIDE_WORDS[s])),
    sides.length === 2 ? t('paper.change') : '',
    t('paper.tolerance'),
  ].map(t => words(t, { bold: true, fontSize: 8 }))
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: [98, 66, ...sides.map(() => 56), 128, '*'],
      body: [head as TableCell[], ...cells.map(c => row(c, stale, sides))],
    },
    layout: HAIRLINE,
    fontSize: 8,
  }
}

function row(c: ComparedCell, stale: ReadonlySet<string>, sides: readonly Side[]): TableCell[] {
  return [
    words(c.point.title),
    words(cellName(c)),
    ...sides.map(s => side(c, s, s === 'after' && stale.has(c.point.id))),
    changed(c, sides),
    words(rangeWords(c)),
  ]
}

/** Before and after on one scale, or why they are not to be compared. */
function picture(c: ComparedCell): TableCell {
  if (c.differences !== null && c.differences.length > 0)
    return words(t('paper.notComparable', { list: c.differences.map(differenceWords).join(', ') }), {
      italics: false,
      fontSize: 7,
    })
  const svg = isJudged(c) ? forkGaugeSvg(compareGauge(c)) : null
  return svg ? { svg, width: 128 } : ''
}

/** The picture, and where both were measured how much more there is than before. */
function changed(c: ComparedCell, sides: readonly Side[]): TableCell {
  const told = sides.length === 2 ? levelChangeWords(c) : null
  return told === null ? picture(c) : { stack: [picture(c) as Content, words(told, { fontSize: 7 })] }
}

function side(c: ComparedCell, which: Side, isStale: boolean): TableCell {
  const cell = c[which]
  const shown = shownCell(cell)
  if (!shown) return words(t('common.notMeasured'), { color: '#5d6b66' })
  const judged = () => (isStale ? t('paper.recheck') : statusWord(cell.judgement!.verdict))
  const verdict = isJudged(c) ? judged() : ''
  return { stack: [words(`${shown.value} ${shown.unit}`, { bold: true }), words(verdict, { fontSize: 7 })] }
}
