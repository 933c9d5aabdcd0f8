import { nice, ticks } from 'd3-array'
import { withDecimalSign } from '#core/quantity'
import { axisName, type BandChartData, type BandSeries } from '#shared/words/bandChart'

const WIDTH = 250
const HEIGHT = 120
const LEFT = 34
const RIGHT = 6
const TOP = 8
const BOTTOM = 22
const TICKS = 4

interface Scale {
  readonly x: (channel: number) => number
  readonly y: (value: number) => number
  readonly ticks: readonly number[]
  readonly channels: readonly number[]
}

/**
 * A quantity over the channels, before hollow and after filled, as vectors that read in black and white; null
 * = nothing was read on both sides or on one channel alone.
 */
export function bandChartSvg(chart: BandChartData): string | null {
  const scale = scaleOf(chart)
  if (!scale) return null
  const { window } = chart
  const shade = window
    ? [
        `<rect x="${LEFT}" y="${scale.y(window.high)}" width="${WIDTH - LEFT - RIGHT}" ` +
          `height="${Math.max(1, scale.y(window.low) - scale.y(window.high))}" fill="#dfe7e3"/>`,
      ]
    : []
  const parts = [
    ...shade,
    ...scale.ticks.map(
      t =>
        `<line x1="${LEFT}" x2="${WIDTH - RIGHT}" y1="${scale.y(t)}" y2="${scale.y(t)}" ` +
        `stroke="#b6c1bc" stroke-width="0.4"/>${label(LEFT - 4, scale.y(t) + 2.5, String(t), 'end')}`,
    ),
    ...scale.channels.map(c => label(scale.x(c), HEIGHT - 12, nameOf(chart, c), 'middle')),
    label((LEFT + WIDTH) / 2, HEIGHT - 2, axisName(chart.axis), 'middle'),
    series(chart.before, scale, '#ffffff', '2 2', chart.axis.joined),
    series(chart.after, scale, '#16201c', '', chart.axis.joined),
  ]
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}" ` +
    `viewBox="0 0 ${WIDTH} ${HEIGHT}">${parts.join('')}</svg>`
  )
}

function scaleOf({ before, after, window }: BandChartData): Scale | null {
  const channels = [...new Set([...before.channels, ...after.channels])].sort((a, b) => a - b)
  const ends = [before, after].flatMap(s => s.values.flatMap((v, i) => [v - s.bounds[i]!, v + s.bounds[i]!]))
  if (channels.length < 2) return null
  const [low, high] = [
    Math.min(...ends, window?.low ?? Infinity),
    Math.max(...ends, window?.high ?? -Infinity),
  ]
  const [from, to] = nice(low, high > low ? high : low + 1, TICKS)
  const [first, last] = [channels[0]!, channels.at(-1)!]
  return {
    channels,
    ticks: ticks(from, to, TICKS),
    x: c => round(LEFT + 8 + ((c - first) / (last - first)) * (WIDTH - LEFT - RIGHT - 16)),
    y: v => round(HEIGHT - BOTTOM - ((v - from) / (to - from || 1)) * (HEIGHT - TOP - BOTTOM)),
  }
}

/**
 * Bands have names; of many channels only the ends and the middle are written, or they run into each other.
 */
function nameOf({ axis, before, after }: BandChartData, at: number): string {
  const named = axis.ticks?.find(t => t.at === at)?.label
  if (axis.title === 'band') return named ?? ''
  const all = [...new Set([...before.channels, ...after.channels])].sort((a, b) => a - b)
  const shown =
    all.length <= 6 || [0, Math.floor((all.length - 1) / 2), all.length - 1].includes(all.indexOf(at))
  if (shown) {
    if (axis.title === 'MHz') return at.toFixed(3)
    return String(at)
  }
  return ''
}

function series(
  { channels, values, bounds }: BandSeries,
  { x, y }: Scale,
  fill: string,
  dash: string,
  isJoined: boolean,
): string {
  const line = !isJoined
    ? ''
    : `<polyline points="${channels.map((c, i) => `${x(c)},${y(values[i]!)}`).join(' ')}" fill="none" ` +
      `stroke="#16201c" stroke-width="0.9"${dash ? ` stroke-dasharray="${dash}"` : ''}/>`
  const points = channels.map(
    (c, i) =>
      `<line x1="${x(c)}" x2="${x(c)}" y1="${y(values[i]! - bounds[i]!)}" y2="${y(values[i]! + bounds[i]!)}" ` +
      `stroke="#16201c" stroke-width="1.6"/><circle cx="${x(c)}" cy="${y(values[i]!)}" ` +
      `r="2.8" fill="${fill}" stroke="#16201c" stroke-width="1"/>`,
  )
  return line + points.join('')
}

/** Labels of an axis; a band has a name. */
const NUMBER = /^-?\d+\.\d+$/
const label = (x: number, y: number, text: string, anchor: string) =>
  `<text x="${x}" y="${y}" font-size="7" font-family="Latin" fill="#45524d" ` +
  `text-anchor="${anchor}">${(NUMBER.test(text) ? withDecimalSign(text) : text).replace('-', '\u2212')}</text>`
const round = (v: number) => Number(v.toFixed(2))
