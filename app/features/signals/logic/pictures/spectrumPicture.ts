import { t } from '#shared/i18n'
import type { EmissionMaskPart } from '#core/rules'
import { KHZ, band, line, type Drawn, type Inks, type Picture, type Trace } from './pictureParts'

/** Further from the channel than this nothing is shown at first [kHz]. */
const SHOWN_KHZ = 60

export function spectrumPicture(
  both: Drawn,
  mask: readonly EmissionMaskPart[] | null,
  spacingHz: number,
  inks: Inks,
): Picture | null {
  const drawn = both.filter(b => b.p.spectrum)
  if (drawn.length === 0) return null
  const reachHz = Math.max(...drawn.map(b => b.p.spectrum!.offsetHz.at(-1) ?? 0))
  const floor = Math.min(...drawn.map(b => b.p.spectrum!.floorDbc))
  const shownKhz = Math.min(reachHz * KHZ, SHOWN_KHZ)
  const half = (spacingHz / 2) * KHZ
  return {
    id: 'spectrum',
    title: t('signals.spectrumAboutTheChannel'),
    note: t('signals.shadedOwnChannelLinesChannelEdges'),
    traces: [...spectra(drawn), ...(mask ? maskTraces(mask, reachHz, inks) : [])],
    layout: {
      xaxis: { title: { text: t('signals.khzFromTheChannel') }, range: [-shownKhz, shownKhz] },
      yaxis: { title: { text: 'dBc' }, range: [Math.max(-120, floor - 8), 5] },
      shapes: [band(-half, half, inks.win), ...channelEdges(half, reachHz * KHZ, inks)],
    },
  }
}

function spectra(drawn: Drawn): Trace[] {
  return drawn.map(({ p, name, stroke }) => ({
    x: Array.from(p.spectrum!.offsetHz, hz => hz * KHZ),
    y: Array.from(p.spectrum!.dbc),
    name,
    type: 'scatter',
    mode: 'lines',
    line: { ...stroke, width: 1.4 },
  }))
}

/** The mask on both sides of the channel, as far as there is a spectrum. */
function maskTraces(mask: readonly EmissionMaskPart[], reachHz: number, inks: Inks): Trace[] {
  const corners = mask
    .flatMap(m => [[m.fromHz, -m.belowDb] as const, [Math.min(m.toHz, reachHz), -m.belowDb] as const])
    .filter(([hz]) => hz <= reachHz)
  return [-1, 1].map(side => ({
    x: corners.map(([hz]) => side * hz * KHZ),
    y: corners.map(([, db]) => db),
    name: t('signals.maskTrace'),
    type: 'scatter',
    mode: 'lines',
    line: line(inks.out, 'dash'),
    showlegend: side > 0,
  }))
}

function channelEdges(half: number, reachKhz: number, inks: Inks): Trace[] {
  return Array.from({ length: 11 }, (_, k) => (2 * k - 11) * half)
    .filter(x => Math.abs(x) <= reachKhz)
    .map(x => ({
      type: 'line',
      xref: 'x',
      yref: 'paper',
      x0: x,
      x1: x,
      y0: 0,
      y1: 1,
      line: { color: inks.line, width: 1 },
      layer: 'below',
    }))
}
