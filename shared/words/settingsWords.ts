import { t, translated, type MessageCode } from '#shared/i18n'
import { numberForField } from '#core/quantity'
import { channelHz, channelName, planOf } from '#core/rules'
import type { SettingsNoted } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import type { CardLine } from '#core/work'
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
export const positionsText = ({ positions, text }: Pick<SettingsNoted, 'positions' | 'text'>): string =>
  [positions.map(p => `${p.control} ${p.position}`).join(', '), text].filter(Boolean).join('. ')

/** Power read into the load in that state; empty = none to tell. */
export const outputText = ({ output }: CardLine): string =>
  output ? measuredText(output.reading, output.reading.quantity) : ''

/** Controls that some line has a position of, in their order. */
export const controlsUsed = (lines: readonly CardLine[], controls: readonly string[]): string[] =>
  controls.filter(c => lines.some(l => positionOf(l.noted, c) !== ''))
