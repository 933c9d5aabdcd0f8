import type { Mode } from '#core/rules'
import type { SettingsNoted } from '#core/run'
import { matchDraft, matchTyped, type MatchDraft } from './matchForm'
import { positionOf } from '#shared/words/settingsWords'
import type { NewWorkEvent } from './useEventForm'

/** Settings as they are being written: a place for every control that is known. */
export interface SettingsDraft {
  channel: number | null
  mode: Mode | null
  connectedTo: SettingsNoted['connectedTo']
  positions: { control: string; position: string }[]
  /** read on the line to an antenna, and of no other settings */
  match: MatchDraft
  text: string
}

/** An empty card, or what stands on it. */
export function settingsDraft(
  controls: readonly string[],
  noted: SettingsNoted | null,
  nextBand: number | null,
): SettingsDraft {
  return {
    channel: noted ? noted.channel : nextBand,
    mode: noted?.mode ?? null,
    connectedTo: noted ? noted.connectedTo : 'load',
    positions: controls.map(control => ({ control, position: noted ? positionOf(noted, control) : '' })),
    match: matchDraft(noted?.match),
    text: noted?.text ?? '',
  }
}

/** What of it was written; null = nothing yet. */
export function settingsOf(draft: SettingsDraft): Extract<NewWorkEvent, { kind: 'settings-noted' }> | null {
  const written = draft.positions
    .map(p => ({ control: p.control.trim(), position: p.position.trim() }))
    .filter(p => p.control !== '' && p.position !== '')
  // A control that was added although it stood there already has one position: the one written last.
  const positions = [...new Map(written.map(p => [p.control, p])).values()]
  const text = draft.text.trim()
  const { channel, mode, connectedTo } = draft
  const match = connectedTo === 'antenna' ? matchTyped(draft.match).match : null
  if (positions.length === 0 && text === '' && !match) return null
  const settings = { kind: 'settings-noted', channel, mode, connectedTo, positions, text } as const
  return match ? { ...settings, match } : settings
}
