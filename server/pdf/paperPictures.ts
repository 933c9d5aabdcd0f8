import { t } from '#shared/i18n'
import type { Content } from 'pdfmake/interfaces'
import type { ComparedCell } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import type { Side } from '#shared/words/compareGauge'
import { bandCharts } from '#shared/words/bandChart'
import { bandChartSvg } from './bandChartSvg'
import { heading, words } from './blocks'
import { MAX_ON_PAPER, type PaperPhoto } from './photos'

/** Power and frequency error over the channels, side by side. */
export function bandPictures(
  sheet: ModelSheet,
  compared: readonly ComparedCell[],
  sides: readonly Side[],
): Content[] {
  const pictures = bandCharts(compared, sheet).flatMap(chart => {
    const svg = bandChartSvg(chart)
    return svg
      ? [
          {
            stack: [
              words(
                t(sides.length === 2 ? 'paper.beforeHollowDashedAfterFilled' : 'paper.chartOfOne', {
                  title: chart.title,
                  unit: chart.unit,
                }),
                {
                  fontSize: 8,
                },
              ),
              { svg, width: 250 },
            ],
            width: 256,
          },
        ]
      : []
  })
  return pictures.length > 0 ? [{ columns: pictures, margin: [0, 8, 0, 0], unbreakable: true }] : []
}

/** @param shows what a photo was taken of */
export function photoPages(photos: readonly PaperPhoto[], shows: (about: string) => string): Content[] {
  const title = heading(
    photos.length === MAX_ON_PAPER
      ? t('paper.photosTheFirst', { maxonpaper: MAX_ON_PAPER })
      : t('paper.photos'),
  )
  return photos.map((p, i): Content => ({
    // The heading stays with the first one: alone at the foot of a page it says nothing.
    unbreakable: true,
    margin: [0, 0, 0, 8],
    stack: [
      ...(i === 0 ? [title] : []),
      { image: p.dataUrl, fit: [340, 250] },
      words([p.name, shows(p.about)].filter(Boolean).join(', ') || t('paper.photo'), {
        fontSize: 7.5,
        color: '#45524d',
      }),
    ],
  }))
}
