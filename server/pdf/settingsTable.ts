import type { Content, TableCell } from 'pdfmake/interfaces'
import { cardControls, type CardLine, type JobState } from '#core/work'
import type { JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { t } from '#shared/i18n'
import {
  connectedWords,
  bandWords,
  controlWords,
  controlsUsed,
  matchAdviceOfCard,
  matchText,
  outputText,
  positionOf,
} from '#shared/words/settingsWords'
import { HAIRLINE, heading, words } from './blocks'

const bold = (text: string) => words(text, { bold: true })

/** Where the operator's controls stand, a line for each band, mode and connection. */
export function settingsTable(
  sheet: ModelSheet,
  lines: readonly CardLine[],
  events: readonly JobEvent[],
): Content[] {
  const used = controlsUsed(lines, cardControls(sheet, events))
  const hasOutput = lines.some(l => l.output)
  const hasMatch = lines.some(l => l.noted.match)
  const hasText = lines.some(l => l.noted.text)
  const head = [
    t('settings.band'),
    t('form.connectedTo'),
    ...used.map(c => controlWords(sheet, c)),
    ...(hasOutput ? [t('settings.outputRead')] : []),
    ...(hasMatch ? [t('settings.match')] : []),
    ...(hasText ? [t('form.note')] : []),
  ]
  const row = (l: CardLine): TableCell[] => [
    bold([bandWords(sheet, l.noted.channel), l.noted.mode].filter(Boolean).join(', ')),
    words(connectedWords(l.noted.connectedTo)),
    ...used.map(c => bold(positionOf(l.noted, c) || '\u2013')),
    ...(hasOutput ? [words(outputText(l) || '\u2013')] : []),
    ...(hasMatch ? [words(matchText(l.noted) || '\u2013')] : []),
    ...(hasText ? [words(l.noted.text)] : []),
  ]
  const table: Content = {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: head.map((_, i) => (hasText && i === head.length - 1 ? '*' : 'auto')),
      body: [head.map(h => words(h, { fontSize: 8 }) as TableCell), ...lines.map(row)],
    },
    layout: HAIRLINE,
  }
  return [table, ...matchAdviceOfCard(sheet, lines).map(w => words(w, { margin: [0, 4, 0, 0] }))]
}

/** The card as a part of the handover; nothing where none was written. */
export const settingsPart = (
  sheet: ModelSheet,
  { card }: JobState,
  events: readonly JobEvent[],
): Content[] => (card.length > 0 ? [heading(t('settings.card')), ...settingsTable(sheet, card, events)] : [])
