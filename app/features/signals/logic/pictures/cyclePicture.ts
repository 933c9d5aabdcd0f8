import { t, type MessageCode } from '#shared/i18n'
import type { SignalPictures } from '#core/signal'
import { KHZ, level, type Drawn, type Inks, type Picture, type Trace } from './pictureParts'

type Cycle = NonNullable<SignalPictures['cycle']>

const TITLES: Readonly<Record<Cycle['kind'], MessageCode>> = {
  'envelope': 'signals.envelopeOverTwoCycles',
  'deviation': 'signals.deviationOverTwoCycles',
  'two-tone': 'signals.envelopeOfTwoTones',
}
const NOTES: Readonly<Record<Cycle['kind'], MessageCode>> = {
  'envelope': 'signals.ofTheMeanDashedCarrierDotted',
  'deviation': 'signals.khzFromTheMean',
  'two-tone': 'signals.percentOfThePositivePeak',
}

/** Two cycles of the tone. */
export function cyclePicture(both: Drawn, inks: Inks): Picture | null {
  const main = both.find(b => b.p.cycle)?.p.cycle
  if (!main) return null
  const isDeviation = main.kind === 'deviation'
  return {
    id: 'cycle',
    title: t(TITLES[main.kind]),
    note: t(NOTES[main.kind]),
    traces: both.flatMap(({ p, name, stroke }) =>
      p.cycle?.kind === main.kind ? [twoCycles(p.cycle, name, stroke)] : [],
    ),
    layout: {
      xaxis: { title: { text: 'ms' } },
      yaxis: { title: { text: isDeviation ? 'kHz' : '%' }, ...(isDeviation ? {} : { rangemode: 'tozero' }) },
      shapes: main.kind === 'envelope' ? carrierLevels(main.carrier ?? 1, inks) : [],
    },
  }
}

function twoCycles({ kind, toneHz, values: asTaken }: Cycle, name: string, stroke: Trace): Trace {
  const values = fromTrough(asTaken)
  const twice = [...values, ...values]
  const scale = kind === 'deviation' ? KHZ : 100
  return {
    x: twice.map((_, n) => (n / values.length / toneHz) * 1000),
    y: twice.map(v => v * scale),
    name,
    type: 'scatter',
    mode: 'lines',
    line: stroke,
  }
}
/** The carrier, nothing, and twice the carrier: full modulation goes from one to the other. */
function carrierLevels(carrier: number, inks: Inks) {
  return [
    level(100 * carrier, inks.ink, 'dash'),
    level(0, inks.out, 'solid'),
    level(200 * carrier, inks.ink2, 'dot'),
  ]
}
/** A cycle turned so that its fundamental begins at the lowest: two recordings lie on each other. */
function fromTrough(values: Float64Array): number[] {
  let [c, s] = [0, 0]
  values.forEach((v, n) => {
    c += v * Math.cos((2 * Math.PI * n) / values.length)
    s += v * Math.sin((2 * Math.PI * n) / values.length)
  })
  const start = Math.round((Math.atan2(s, c) / (2 * Math.PI) + 0.5) * values.length)
  return Array.from(values, (_, n) => values[(n + start + values.length) % values.length]!)
}
