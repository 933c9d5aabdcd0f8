import { t } from '#shared/i18n'
import type { ComparedCell } from '#core/run'
import { isFullPower, isUnmodulated, type ModelSheet, type SetState } from '#core/sheet'
import { channelHz, planOf } from '#core/rules'
import { QUANTITIES, standardToBound } from '#core/quantity'

/** One line of the band picture: places on the axis, values in the unit shown. */
export interface BandSeries {
  readonly channels: number[]
  readonly values: number[]
  readonly bounds: number[]
}

/** What the picture is drawn against: channels, megahertz, or the names of bands. */
export interface BandAxis {
  readonly title: 'channel' | 'MHz' | 'band'
  /** places with a label; null = as the numbers fall */
  readonly ticks: readonly { readonly at: number; readonly label: string }[] | null
  /** false = each band is tuned for itself: no line joins them */
  readonly joined: boolean
}

export interface BandChartData {
  readonly title: string
  readonly unit: string
  readonly axis: BandAxis
  readonly before: BandSeries
  readonly after: BandSeries
  readonly window: { low: number; high: number } | null
}

/** A plan with so many named entries is a list of bands, with more a raster. */
const MAX_BANDS = 12
/** A plan with more channels than this is drawn over frequency. */
const MAX_CHANNELS = 60
/** Frequencies further apart than this belong to no one band. */
const FAR_RATIO = 1.2

/**
 * Power and frequency error over the band, before and after, in the units shown. Rows of one mode, power and
 * control position only, those that the sheet judges the set by: a line between others would say nothing.
 */
export function bandCharts(cells: readonly ComparedCell[], sheet: ModelSheet): BandChartData[] {
  // A channel of another plan is another frequency.
  const rows = inOneState(
    cells.filter(c => !c.isGone && isCarrierRow(c.point.state) && isOfMain(c.point.state, sheet)),
  )
  const axis = axisOf(sheet)
  const of = (quantity: 'powerW' | 'carrierHz', side: 'before' | 'after'): BandSeries => {
    const out: BandSeries = { channels: [], values: [], bounds: [] }
    const perSi = quantity === 'carrierHz' ? 1 : QUANTITIES[quantity].perSi
    for (const c of rows.toSorted((a, b) => a.point.state.channel! - b.point.state.channel!)) {
      const latest = c[side].latest
      if (c.want.quantity !== quantity || !latest) continue
      const channel = c.point.state.channel!
      out.channels.push(axis.title === 'MHz' ? channelHz(planOf(sheet), channel) / 1e6 : channel)
      out.values.push(
        (latest.reading.value - (quantity === 'carrierHz' ? channelHz(planOf(sheet), channel) : 0)) * perSi,
      )
      out.bounds.push(
        latest.reading.standardUncertainty === null
          ? 0
          : standardToBound(latest.reading.standardUncertainty) * perSi,
      )
    }
    return out
  }
  return [
    {
      title: t('figure.powerHigh'),
      unit: 'W',
      axis,
      before: of('powerW', 'before'),
      after: of('powerW', 'after'),
      window: commonWindow(rows.filter(c => c.want.quantity === 'powerW')),
    },
    {
      title: t('figure.frequencyError'),
      unit: 'Hz',
      axis,
      before: of('carrierHz', 'before'),
      after: of('carrierHz', 'after'),
      window: commonWindow(rows.filter(c => c.want.quantity === 'carrierHz')),
    },
  ]
}

/** A channel that was read with the coverage opened too is drawn as it is used. */
function inOneState(rows: readonly ComparedCell[]): readonly ComparedCell[] {
  const isUsual = ({ point }: ComparedCell) => point.state.coverage === 'standard'
  const usual = new Set(rows.filter(isUsual).map(c => c.point.state.channel))
  return rows.filter(c => isUsual(c) || !usual.has(c.point.state.channel))
}

/** A tolerance is shaded over all that is drawn only where it is that of every row. */
function commonWindow(rows: readonly ComparedCell[]): { low: number; high: number } | null {
  const [first, ...others] = rows.map(({ before: { requirement } }) => {
    const offset = requirement.nominalHz ?? 0
    return requirement.window?.low != null && requirement.window.high != null
      ? { low: requirement.window.low - offset, high: requirement.window.high - offset }
      : null
  })
  return first && others.every(w => w?.low === first.low && w.high === first.high) ? first : null
}

const isCarrierRow = (s: SetState) => s.keyed && isUnmodulated(s) && isFullPower(s) && s.channel !== null
const isOfMain = (s: SetState, { main }: ModelSheet) => s.mode === main.mode && s.setting === main.setting

function axisOf(sheet: ModelSheet): BandAxis {
  const { names, channelsHz } = planOf(sheet)
  if (names && names.length <= MAX_BANDS)
    return { title: 'band', ticks: names.map((label, i) => ({ at: i + 1, label })), joined: false }
  // Bands far apart without names: each is tuned for itself too.
  if (Math.max(...channelsHz) > FAR_RATIO * Math.min(...channelsHz))
    return { title: 'MHz', ticks: null, joined: false }
  // Numbers through all bands are on no set, and nothing is sent between bands of its own.
  if (names || channelsHz.length > MAX_CHANNELS)
    return { title: 'MHz', ticks: null, joined: (sheet.bands?.length ?? 1) === 1 }
  return {
    title: 'channel',
    ticks: [1, 10, 20, 30, 40].filter(c => c <= channelsHz.length).map(at => ({ at, label: String(at) })),
    joined: true,
  }
}

const AXIS_WORDS = { channel: 'figure.axisChannel', band: 'figure.axisBand' } as const

/** What stands under the axis of a band chart. */
export function axisName({ title }: BandAxis): string {
  return title === 'MHz' ? title : t(AXIS_WORDS[title])
}
