import type { Mode } from '#core/rules'
import type { SettingsNoted } from '#core/run'
import { positionOf } from '#shared/words/settingsWords'
import type { NewWorkEvent } from './useEventForm'

/** Settings as they are being written: a place for every control that is known. */
export interface SettingsDraft {
  channel: number | null
  mode: Mode | null
  connectedTo: SettingsNoted['connectedTo']
  positions: { control: string; position: string }[]
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
  return positions.length === 0 && text === '' ? null : { ...draft, kind: 'settings-noted', positions, text }
}
