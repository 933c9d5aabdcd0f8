import { t } from '#shared/i18n'
import { KHZ, type Drawn, type Picture } from './pictureParts'

/** How long the envelope or the deviation stays at which value. */
export function histogramPicture(both: Drawn): Picture | null {
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
