import type { ComparedCell } from '../../core/run'
import type { ModelSheet } from '../../core/sheet'
import { channelHz } from '../../core/rules'
import { QUANTITIES, standardToBound } from '../../core/quantity'

/** One line of the band picture. */
export interface BandSeries { readonly channels: number[], readonly values: number[], readonly bounds: number[] }
export interface BandChartData { readonly title: string, readonly unit: string, readonly before: BandSeries, readonly after: BandSeries, readonly window: { low: number, high: number } | null }

/** Power and frequency error against channel, before and after, in the units shown. */
export function bandCharts(cells: readonly ComparedCell[], sheet: ModelSheet): BandChartData[] {
  const rows = cells.filter(c => c.point.state.keyed && c.point.state.toneHz === null && !c.point.state.lowPower && c.point.state.channel !== null)
  const of = (quantity: 'powerW' | 'carrierHz', side: 'before' | 'after'): BandSeries => {
    const perSi = quantity === 'carrierHz' ? 1 : QUANTITIES[quantity].perSi
    const out: BandSeries = { channels: [], values: [], bounds: [] }
    for (const c of rows) {
      const latest = c[side].latest
      if (c.want.quantity !== quantity || !latest) continue
      const channel = c.point.state.channel!
      out.channels.push(channel)
      out.values.push((latest.reading.value - (quantity === 'carrierHz' ? channelHz(sheet.planId, channel) : 0)) * perSi)
      out.bounds.push(latest.reading.standardUncertainty === null ? 0 : standardToBound(latest.reading.standardUncertainty) * perSi)
    }
    return out
  }
  const window = (quantity: 'powerW' | 'carrierHz') => {
    const asked = rows.find(c => c.want.quantity === quantity)?.before.asked
    const offset = asked?.nominalHz ?? 0
    return asked?.window?.low != null && asked.window.high != null ? { low: asked.window.low - offset, high: asked.window.high - offset } : null
  }
  return [
    { title: 'Power, high', unit: 'W', before: of('powerW', 'before'), after: of('powerW', 'after'), window: window('powerW') },
    { title: 'Frequency error', unit: 'Hz', before: of('carrierHz', 'before'), after: of('carrierHz', 'after'), window: window('carrierHz') },
  ]
}
