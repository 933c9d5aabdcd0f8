import type { Content, TableCell } from 'pdfmake/interfaces'
import type { RuleSet } from '#core/rules'
import type { JobEvent, OpenItem } from '#core/run'
import { trialsOf, type Trial } from '#core/trial'
import { t } from '#shared/i18n'
import { quantityLabel } from '#shared/words/quantityWords'
import { amplifierWords, quantitiesRead, trialReading, trialWords } from '#shared/words/trialWords'
import { HAIRLINE, heading, list, words } from './blocks'

const alteredWords = ({ title, settled }: OpenItem): string =>
  `${t('trial.altered')}: ${title}, ${settled === null ? t('trial.isOut') : t('trial.isBack', { text: settled })}`

/** What was shown, trial by trial: the meters side by side, then what follows; nothing where none was. */
export function trialsPart(
  events: readonly JobEvent[],
  rules: RuleSet,
  items: readonly OpenItem[],
): Content[] {
  const trials = trialsOf(events)
  const altered = items.filter(i => i.kind === 'put-back').map(alteredWords)
  if (trials.length === 0 && altered.length === 0) return []
  const isAmplified = trials.some(({ noted }) => noted.amplifier !== undefined)
  return [
    heading(t('paper.trials')),
    ...(altered.length > 0 ? [list(altered)] : []),
    ...(trials.length > 0 ? [table(trials)] : []),
    ...trials.flatMap((trial): Content[] => {
      const said = trialWords(trial, trials, rules)
      return said.length === 0
        ? []
        : [
            {
              unbreakable: true,
              stack: [words(title(trial), { bold: true }), list(said)],
              margin: [0, 4, 0, 0],
            },
          ]
    }),
    ...(isAmplified ? [words(t('trial.amplifierCaution'), { bold: true, margin: [0, 4, 0, 0] })] : []),
  ]
}

function title({ number, noted: { text, amplifier } }: Trial): string {
  const about = amplifier ? `${text}, ${amplifierWords(amplifier)}` : text
  return `${t('trial.trialNumber', { number })}: ${about}`
}

/** Between the margins of an A4 page, what was set, and the gaps of the table [pt]. */
const PAGE_PT = 515
const SET_PT = 96
const GAP_PT = 6
const WIDEST_PT = 44

/** As wide as a reading needs, or less where many were read: what was set keeps its place. */
const columnWidth = (count: number): number =>
  Math.min(WIDEST_PT, Math.floor((PAGE_PT - SET_PT) / count) - GAP_PT)

function table(trials: readonly Trial[]): Content {
  const read = quantitiesRead(trials)
  const head = ['', ...read.map(quantityLabel)].map(
    text => words(text, { bold: true, fontSize: 7 }) as TableCell,
  )
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: ['*', ...read.map(() => columnWidth(read.length))],
      body: [
        head,
        ...trials.map(trial => [
          words(`${trial.number} ${trial.noted.text}`) as TableCell,
          ...read.map(q => words(trialReading(trial, q) ?? '\u2013') as TableCell),
        ]),
      ],
    },
    layout: HAIRLINE,
    fontSize: 8,
  }
}
