import { message, type Term } from '../message'
import { channelName, planOf } from '../rules'
import {
  validEvents,
  type JobEvent,
  type RowState,
  type SettingsNoted,
  type TakenReading,
  type Unsettled,
} from '../run'
import { isFullPower, isUnmodulated, type ModelSheet } from '../sheet'

/** Settings that count, and what the set gave there. */
export interface CardLine {
  readonly noted: SettingsNoted
  /** power into the dummy load of the sheet; null = not read, read into something else, or not to be told */
  readonly output: TakenReading | null
}

/**
 * The settings card: of every band, mode and connection what was written last, in the order of the plan,
 * what holds on all bands first.
 * @param rows as the set is now; see {@link outputAt}
 * @param isDoubtful readings that contradict others
 */
export function settingsCard(
  sheet: ModelSheet,
  events: readonly JobEvent[],
  rows: readonly RowState[],
  isDoubtful: (readingId: string) => boolean = () => false,
): CardLine[] {
  const last = new Map<string, SettingsNoted>()
  for (const e of validEvents(events))
    if (e.kind === 'settings-noted') last.set(`${e.channel} ${e.mode} ${e.connectedTo}`, e)
  return [...last.values()]
    .toSorted((a, b) => (a.channel ?? 0) - (b.channel ?? 0) || orderOf(a) - orderOf(b))
    .map(noted => ({ noted, output: outputAt(sheet, noted, rows, isDoubtful) }))
}

/** What holds for both, then the load, then the antenna. */
const ORDER = [null, 'load', 'antenna'] as const satisfies readonly SettingsNoted['connectedTo'][]
const orderOf = ({ connectedTo }: SettingsNoted) => ORDER.indexOf(connectedTo)

/**
 * What was read into the load in that state, where one row alone says it: the sheet's own mode and controls,
 * or the mode of the settings.
 */
function outputAt(
  { main, load }: ModelSheet,
  { channel, mode, connectedTo }: SettingsNoted,
  rows: readonly RowState[],
  isDoubtful: (readingId: string) => boolean,
): TakenReading | null {
  if (channel === null || connectedTo !== 'load') return null
  const read = rows.flatMap(({ point: { state }, cells, stale }) => {
    const isThere =
      state.keyed && state.channel === channel && isUnmodulated(state) && isFullPower(state) && !stale
    const isMeant =
      state.mode === (mode ?? main.mode) && (state.mode !== main.mode || state.setting === main.setting)
    const latest = cells.find(c => c.want.quantity === 'powerW')?.latest
    return isThere && isMeant && latest && !isDoubtful(latest.reading.id) ? [latest] : []
  })
  return read.length === 1 && read[0]!.row.conditions.load === load ? read[0]! : null
}

/** Controls that a sheet or the card has a place for, in the order in which they were met. */
export function cardControls(sheet: ModelSheet, events: readonly JobEvent[]): string[] {
  return [
    ...new Set([
      ...sheet.adjusters.filter(a => a.kind === 'control').map(a => a.designator),
      ...validEvents(events).flatMap(e =>
        e.kind === 'settings-noted' ? e.positions.map(p => p.control) : [],
      ),
    ]),
  ]
}

/** Whether the operator tunes a set like this at every change of band. */
export const isTunedByBand = ({ adjusters }: ModelSheet): boolean =>
  adjusters.some(a => a.kind === 'control' && (a.role === 'tank' || a.role === 'preselector'))

/**
 * What the card lacks: asked for where the procedure calls for a card, else as soon as one was begun.
 * @param isOwed whether the job asks for what its sheet calls for
 */
export function missingSettings(
  sheet: ModelSheet,
  events: readonly JobEvent[],
  isOwed: boolean,
): Unsettled[] {
  const noted = settingsCard(sheet, events, []).map(l => l.noted)
  const owed = isOwed ? sheet.owed.find(o => o.doneBy === 'settings-card') : undefined
  if (!owed && (noted.length === 0 || !isTunedByBand(sheet))) return []
  const { nothing, noAntenna } = bandsWithout(sheet, noted)
  if (owed && noted.length === 0 && nothing.length === 0)
    return [{ id: owed.id, title: owed.title, kind: 'owed', detail: owed.why }]
  return [
    ...item(sheet, 'settings:bands', 'item.noSettingsFor', nothing),
    ...item(sheet, 'settings:antenna', 'item.noAntennaSettingsFor', noAntenna),
  ]
}

/** Bands of which nothing is written, and, once an antenna was written, those that have no antenna. */
export function bandsWithout(
  sheet: ModelSheet,
  noted: readonly SettingsNoted[],
): { nothing: number[]; noAntenna: number[] } {
  const written = new Set(noted.map(n => n.channel))
  const onAntenna = new Set(noted.filter(n => n.connectedTo === 'antenna').map(n => n.channel))
  const bands = bandsOf(sheet)
  return {
    nothing: bands.filter(c => !written.has(c)),
    noAntenna: onAntenna.size === 0 ? [] : bands.filter(c => written.has(c) && !onAntenna.has(c)),
  }
}

/** The channels on which the sheet keys the set: one for each band. */
const bandsOf = ({ matrix }: ModelSheet): number[] =>
  [
    ...new Set(matrix.flatMap(p => (p.state.keyed && p.state.channel !== null ? [p.state.channel] : []))),
  ].sort((a, b) => a - b)

function item(sheet: ModelSheet, id: string, code: string, channels: readonly number[]): Unsettled[] {
  if (channels.length === 0) return []
  const list = channels.map((c): Term => ({ term: channelName(planOf(sheet), c) }))
  return [{ id, title: 'Settings card', kind: 'settings-missing', detail: message(code, { list }) }]
}
