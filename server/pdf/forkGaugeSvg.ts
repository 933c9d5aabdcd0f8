import { gaugeScale, type GaugeValues } from '#shared/words/gaugeScale'

const WIDTH = 150
const HEIGHT = 16
const MIDDLE = 9

/**
 * The fork gauge as vectors for paper: window shaded, target ticked, as found hollow, as left filled, whisker
 * for the uncertainty. Reads in black and white.
 */
export function forkGaugeSvg(v: GaugeValues): string | null {
  const scale = gaugeScale(v)
  if (!scale) return null
  const x = (value: number) =>
    Number(
      Math.min(WIDTH - 5, Math.max(5, ((value - scale.min) / (scale.max - scale.min)) * WIDTH)).toFixed(2),
    )
  const parts = [
    `<line x1="0" y1="${MIDDLE}" x2="${WIDTH}" y2="${MIDDLE}" stroke="#5d6b66" stroke-width="0.7"/>`,
  ]
  if (v.low !== null || v.high !== null) {
    const [from, to] = [v.low === null ? 0 : x(v.low), v.high === null ? WIDTH : x(v.high)]
    parts.unshift(`<rect x="${from}" y="2" width="${Math.max(1, to - from)}" height="14" fill="#cdd8d3"/>`)
  }
  if (v.aim !== null)
    parts.push(`<line x1="${x(v.aim)}" y1="2" x2="${x(v.aim)}" y2="16" stroke="#16201c" stroke-width="0.8"/>`)
  if (v.asFound !== null && v.now !== null)
    parts.push(
      `<line x1="${x(v.asFound)}" y1="${MIDDLE}" x2="${x(v.now)}" ` +
        `y2="${MIDDLE}" stroke="#16201c" stroke-width="1.4"/>`,
    )
  if (v.now !== null && v.bound !== null)
    parts.push(
      `<line x1="${x(v.now - v.bound)}" y1="${MIDDLE}" x2="${x(v.now + v.bound)}" ` +
        `y2="${MIDDLE}" stroke="#16201c" stroke-width="3"/>`,
    )
  if (v.asFound !== null)
    parts.push(
      `<circle cx="${x(v.asFound)}" cy="${MIDDLE}" r="3.4" fill="#ffffff" stroke="#16201c" stroke-width="1.2"/>`,
    )
  if (v.now !== null) parts.push(`<circle cx="${x(v.now)}" cy="${MIDDLE}" r="3.4" fill="#16201c"/>`)
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT + 2}" ` +
    `viewBox="0 0 ${WIDTH} ${HEIGHT + 2}">${parts.join('')}</svg>`
  )
}
