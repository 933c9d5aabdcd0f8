import { t, translated, type MessageCode } from '#shared/i18n'
import { groupDigits, numberForField, showPlain, type Match } from '#core/quantity'
import { channelHz, channelName, planOf } from '#core/rules'
import type { SettingsNoted } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { matchRead, type CardLine } from '#core/work'
import { measuredText } from './quantityWords'

const CONNECTED_WORDS: Readonly<Record<NonNullable<SettingsNoted['connectedTo']>, MessageCode>> = {
  load: 'settings.dummyLoad',
  antenna: 'settings.antenna',
}

/** Dummy load or antenna; either, where the settings hold for both. */
export const connectedWords = (to: SettingsNoted['connectedTo']): string =>
  t(to === null ? 'settings.either' : CONNECTED_WORDS[to])

/** A band by its name, with the frequency at which it was tuned. */
export function bandWords(sheet: ModelSheet, channel: number | null): string {
  if (channel === null) return t('settings.allBands')
  const plan = planOf(sheet)
  const name = translated(channelName(plan, channel))
  return plan.names ? `${name} (${numberForField(channelHz(plan, channel) / 1e6)}\u2009MHz)` : name
}

/** What settings are for: "40 m (7.1 MHz), AM, dummy load". */
export const settingsFor = (sheet: ModelSheet, n: Pick<SettingsNoted, 'channel' | 'mode' | 'connectedTo'>) =>
  [bandWords(sheet, n.channel), n.mode, n.connectedTo && connectedWords(n.connectedTo)]
    .filter(Boolean)
    .join(', ')

/** A control by its name on the sheet, else as it was written. */
export const controlWords = ({ adjusters }: ModelSheet, control: string): string =>
  translated(adjusters.find(a => a.designator === control)?.name ?? control)

export const positionOf = ({ positions }: SettingsNoted, control: string): string =>
  positions.find(p => p.control === control)?.position ?? ''

/** Positions in one line, for the log: "plate capacitor 6.8, load capacitor 4.6". */
export const positionsText = (noted: Pick<SettingsNoted, 'positions' | 'match' | 'text'>): string =>
  [noted.positions.map(p => `${p.control} ${p.position}`).join(', '), matchText(noted), noted.text]
    .filter(Boolean)
    .join('. ')

/** Power read into the load in that state; empty = none to tell. */
export const outputText = ({ output }: CardLine): string =>
  output ? measuredText(output.reading, output.reading.quantity) : ''

/** What the line to the antenna showed: "94 W forward, 0.8 W reflected, SWR 1.2"; empty = nothing. */
export function matchText({ match }: Pick<SettingsNoted, 'match'>): string {
  if (!match) return ''
  const { forwardW, reflectedW } = match
  const read = matchRead(match)
  return [
    forwardW === null ? '' : t('settings.forwardOf', { power: showPlain(forwardW, 'powerW') }),
    reflectedW === null ? '' : t('settings.reflectedOf', { power: showPlain(reflectedW, 'powerW') }),
    read ? swrText(read.swr) : '',
    reflectedW === null && match.meterAt !== 'antenna-side' && read ? backText(read, forwardW) : '',
    match.meterAt === 'antenna-side' ? t('settings.behindTheTuner') : '',
  ]
    .filter(Boolean)
    .join(', ')
}

/** What an SWR that was read off a scale sends back. */
function backText({ reflectedRatio }: Match, forwardW: number | null): string {
  const share = groupDigits(100 * reflectedRatio, reflectedRatio < 0.1 ? 1 : 0)
  return forwardW === null
    ? t('settings.comesBack', { share })
    : t('settings.comesBackOf', {
        share,
        power: showPlain(Number((forwardW * reflectedRatio).toPrecision(2)), 'powerW'),
      })
}

const swrText = (swr: number) =>
  Number.isFinite(swr) ? t('settings.swrOf', { swr: groupDigits(swr, 1) }) : t('settings.allComesBack')

/** What follows from it for whoever sets the controls. */
export function matchAdvice({ match }: Pick<SettingsNoted, 'match'>): string[] {
  const read = match && matchRead(match)
  if (!match || !read) return []
  return [
    read.contradicts ? t('settings.swrContradicts', { swr: groupDigits(match.swr!, 1) }) : '',
    match.meterAt === 'antenna-side' ? t('settings.notFiftyOhm') : '',
    read.isHigh && match.meterAt !== 'antenna-side' ? t('settings.matchFirst') : '',
  ].filter(Boolean)
}

/** Advice of all lines that have one, each with what it is for. */
export const matchAdviceOfCard = (sheet: ModelSheet, lines: readonly CardLine[]): string[] =>
  lines.flatMap(({ noted }) => matchAdvice(noted).map(w => `${settingsFor(sheet, noted)}: ${w}`))

/** Controls that some line has a position of, in their order. */
export const controlsUsed = (lines: readonly CardLine[], controls: readonly string[]): string[] =>
  controls.filter(c => lines.some(l => positionOf(l.noted, c) !== ''))
