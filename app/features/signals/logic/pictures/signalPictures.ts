import type { EmissionMaskPart } from '#core/rules'
import type { SignalPictures } from '#core/signal'
import { channelsPicture, productsPicture } from './barPictures'
import { cyclePicture } from './cyclePicture'
import { driftPicture } from './driftPicture'
import { histogramPicture } from './histogramPicture'
import { line, type Inks, type Picture } from './pictureParts'
import { spectrumPicture } from './spectrumPicture'

export type { Inks, Picture } from './pictureParts'

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

/** The numbers of a picture as a table, for whoever draws it elsewhere. */
export function pictureCsv(picture: Picture): string {
  const rows = picture.traces.flatMap(t => {
    const [x, y] = [t.x as readonly (number | string)[], t.y as readonly number[]]
    const base = typeof t.base === 'number' ? t.base : 0
    return x.map((v, n) => `"${String(t.name)}",${typeof v === 'number' ? v : `"${v}"`},${y[n]! + base}`)
  })
  return ['series,x,y', ...rows].join('\r\n')
}
