import { messageWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import type { EmissionMaskPart } from '#core/rules'
import type { SignalPictures } from '#core/signal'

/** Colours of the theme that a picture is drawn in. */
export interface Inks {
  readonly ink: string
  readonly ink2: string
  readonly accent: string
  readonly out: string
  readonly win: string
  readonly line: string
}

interface Trace {
  readonly [key: string]: unknown
}
/** A picture: what it shows, and what is drawn. */
export interface Picture {
  readonly id: string
  readonly title: string
  readonly note: string
  readonly traces: readonly Trace[]
  readonly layout: Trace
}

const line = (color: string, dash: string, width = 2) => ({ color, width, dash })
const band = (x0: number, x1: number, fill: string) => ({
  type: 'rect',
  xref: 'x',
  yref: 'paper',
  x0,
  x1,
  y0: 0,
  y1: 1,
  fillcolor: fill,
  opacity: 0.5,
  line: { width: 0 },
  layer: 'below',
})
const level = (y: number, color: string, dash: string) => ({
  type: 'line',
  xref: 'paper',
  x0: 0,
  x1: 1,
  y0: y,
  y1: y,
  line: { color, width: 1.5, dash },
})
const KHZ = 1e-3

/** Every picture of a recording, the second one over it on the same axes. */
export function picturesOf(
  first: SignalPictures,
  second: SignalPictures | null,
  names: readonly [string, string],
  mask: readonly EmissionMaskPart[] | null,
  spacingHz: number,
  inks: Inks,
): Picture[] {
  const both = [
    { p: first, name: names[0], stroke: line(inks.accent, 'solid') },
    ...(second ? [{ p: second, name: names[1], stroke: line(inks.ink2, 'dot') }] : []),
  ]
  return [
    cyclePicture(both, inks),
    spectrumPicture(both, mask, spacingHz, inks),
    channelsPicture(both, inks),
    histogramPicture(both),
    driftPicture(both),
    productsPicture(both, inks),
  ].filter((p): p is Picture => p !== null)
}

type Drawn = readonly {
  readonly p: SignalPictures
  readonly name: string
  readonly stroke: { readonly color: string }
}[]

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

/** Two cycles of the tone. */
function cyclePicture(both: Drawn, inks: Inks): Picture | null {
  const main = both.find(b => b.p.cycle)?.p.cycle
  if (!main) return null
  const traces = both.flatMap(({ p, name, stroke }) => {
    if (!p.cycle || p.cycle.kind !== main.kind) return []
    const { toneHz } = p.cycle
    const values = fromTrough(p.cycle.values)
    const twice = [...values, ...values]
    return [
      {
        x: twice.map((_, n) => (n / values.length / toneHz) * 1000),
        y: twice.map(v => (main.kind === 'deviation' ? v * KHZ : v * 100)),
        name,
        type: 'scatter',
        mode: 'lines',
        line: stroke,
      },
    ]
  })
  const title = {
    'envelope': t('signals.envelopeOverTwoCycles'),
    'deviation': t('signals.deviationOverTwoCycles'),
    'two-tone': t('signals.envelopeOfTwoTones'),
  }[main.kind]
  const shapes =
    main.kind === 'envelope'
      ? [
          level(100 * (main.carrier ?? 1), inks.ink, 'dash'),
          level(0, inks.out, 'solid'),
          level(200 * (main.carrier ?? 1), inks.ink2, 'dot'),
        ]
      : []
  const note = {
    'envelope': t('signals.ofTheMeanDashedCarrierDotted'),
    'deviation': t('signals.khzFromTheMean'),
    'two-tone': t('signals.percentOfThePositivePeak'),
  }[main.kind]
  return {
    id: 'cycle',
    title,
    note,
    traces,
    layout: {
      xaxis: { title: { text: 'ms' } },
      yaxis: {
        title: { text: main.kind === 'deviation' ? 'kHz' : '%' },
        ...(main.kind === 'deviation' ? {} : { rangemode: 'tozero' }),
      },
      shapes,
    },
  }
}

function spectrumPicture(
  both: Drawn,
  mask: readonly EmissionMaskPart[] | null,
  spacingHz: number,
  inks: Inks,
): Picture | null {
  const drawn = both.filter(b => b.p.spectrum)
  if (drawn.length === 0) return null
  const traces: Trace[] = drawn.map(({ p, name, stroke }) => ({
    x: Array.from(p.spectrum!.offsetHz, hz => hz * KHZ),
    y: Array.from(p.spectrum!.dbc),
    name,
    type: 'scatter',
    mode: 'lines',
    line: { ...stroke, width: 1.4 },
  }))
  const reach = Math.max(...drawn.map(b => b.p.spectrum!.offsetHz.at(-1) ?? 0))
  if (mask) {
    const points = (side: number) =>
      mask
        .flatMap(
          m =>
            [
              [side * m.fromHz, -m.belowDb],
              [side * Math.min(m.toHz, reach), -m.belowDb],
            ] as const,
        )
        .filter(([hz]) => Math.abs(hz) <= reach)
    for (const side of [-1, 1])
      traces.push({
        x: points(side).map(([hz]) => hz * KHZ),
        y: points(side).map(([, db]) => db),
        name: 'mask',
        type: 'scatter',
        mode: 'lines',
        line: line(inks.out, 'dash'),
        showlegend: side > 0,
      })
  }
  const half = (spacingHz / 2) * KHZ
  const raster = Array.from({ length: 11 }, (_, k) => (2 * k - 11) * half).filter(
    x => Math.abs(x) <= reach * KHZ,
  )
  const floor = Math.min(...drawn.map(b => b.p.spectrum!.floorDbc))
  return {
    id: 'spectrum',
    title: t('signals.spectrumAboutTheChannel'),
    note: t('signals.shadedOwnChannelLinesChannelEdges'),
    traces,
    layout: {
      xaxis: {
        title: { text: t('signals.khzFromTheChannel') },
        range: [-Math.min(reach * KHZ, 60), Math.min(reach * KHZ, 60)],
      },
      yaxis: { title: { text: 'dBc' }, range: [Math.max(-120, floor - 8), 5] },
      shapes: [
        band(-half, half, inks.win),
        ...raster.map(x => ({
          type: 'line',
          xref: 'x',
          yref: 'paper',
          x0: x,
          x1: x,
          y0: 0,
          y1: 1,
          line: { color: inks.line, width: 1 },
          layer: 'below',
        })),
      ],
    },
  }
}

/** Where the power lands, channel by channel. */
function channelsPicture(both: Drawn, inks: Inks): Picture | null {
  const drawn = both.filter(b => b.p.channels.length > 2)
  if (drawn.length === 0) return null
  const least = Math.floor(Math.min(...drawn.flatMap(b => b.p.channels.map(c => c.dbc))) / 10) * 10
  const traces = drawn.map(({ p, name, stroke }) => ({
    x: p.channels.map(c => c.offsetHz / 10_000),
    y: p.channels.map(c => c.dbc - least),
    base: least,
    name,
    type: 'bar',
    marker: { color: p.channels.map(c => (c.offsetHz === 0 ? inks.ink : stroke.color)) },
  }))
  return {
    id: 'channels',
    title: t('signals.adjacentChannelPower'),
    note: t('signals.channelByChannelRelativeToThe'),
    traces,
    layout: {
      barmode: 'group',
      xaxis: { title: { text: t('signals.channelsAway') } },
      yaxis: { title: { text: 'dB' } },
    },
  }
}

function histogramPicture(both: Drawn): Picture | null {
  const main = both.find(b => b.p.histogram)?.p.histogram
  if (!main) return null
  const scale = main.kind === 'envelope' ? 100 : KHZ
  const traces = both.flatMap(({ p, name, stroke }) =>
    p.histogram?.kind === main.kind
      ? [
          {
            x: Array.from(
              p.histogram.share,
              (_, k) => (p.histogram!.from + (k + 0.5) * p.histogram!.step) * scale,
            ),
            y: Array.from(p.histogram.share, s => 100 * s),
            name,
            type: 'scatter',
            mode: 'lines',
            line: { ...stroke, shape: 'hvh' },
          },
        ]
      : [],
  )
  return {
    id: 'histogram',
    title:
      main.kind === 'envelope'
        ? t('signals.distributionOfTheEnvelope')
        : t('signals.distributionOfTheDeviation'),
    note:
      main.kind === 'envelope' ? t('signals.atZeroCarrierCutOffAt') : t('signals.oneSideHigherThanTheOther'),
    traces,
    layout: {
      xaxis: { title: { text: main.kind === 'envelope' ? t('signals.ofTheMeanEnvelope') : 'kHz' } },
      yaxis: { title: { text: t('signals.ofTheTime') }, rangemode: 'tozero' },
    },
  }
}

function driftPicture(both: Drawn): Picture | null {
  const drawn = both.filter(b => b.p.drift && b.p.drift.hz.length > 4)
  if (drawn.length === 0) return null
  // A carrier that stands still is a straight line, not a magnified noise.
  const most = Math.max(1, ...drawn.flatMap(b => Array.from(b.p.drift!.hz, Math.abs))) * 1.1
  return {
    id: 'drift',
    title: t('signals.frequencyAgainstTime'),
    note: t('signals.hzFromItsMean'),
    traces: drawn.map(({ p, name, stroke }) => ({
      x: Array.from(p.drift!.timeS),
      y: Array.from(p.drift!.hz),
      name,
      type: 'scatter',
      mode: 'lines',
      line: stroke,
    })),
    layout: { xaxis: { title: { text: 's' } }, yaxis: { title: { text: 'Hz' }, range: [-most, most] } },
  }
}

function productsPicture(both: Drawn, inks: Inks): Picture | null {
  const drawn = both.filter(b => b.p.products.length > 0)
  if (drawn.length === 0) return null
  return {
    id: 'products',
    title: t('signals.productsAndHarmonics'),
    note: t('signals.dbRelativeToTheTone'),
    traces: drawn.map(({ p, name, stroke }, k) => ({
      x: p.products.map(d => messageWords(d.name)),
      y: p.products.map(d => d.db),
      name,
      type: 'bar',
      marker: { color: k === 0 ? inks.accent : stroke.color },
    })),
    layout: { barmode: 'group', xaxis: {}, yaxis: { title: { text: 'dB' } } },
  }
}

/** The numbers of a picture as a table, for whoever draws it elsewhere. */
export function pictureCsv(picture: Picture): string {
  const rows = picture.traces.flatMap(t => {
    const [x, y] = [t.x as readonly (number | string)[], t.y as readonly number[]]
    const base = typeof t.base === 'number' ? t.base : 0
    return x.map((v, n) => `"${String(t.name)}",${typeof v === 'number' ? v : `"${v}"`},${y[n]! + base}`)
  })
  return ['series,x,y', ...rows].join('\r\n')
}
