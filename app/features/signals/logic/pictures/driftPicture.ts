import { t } from '#shared/i18n'
import type { Drawn, Picture } from './pictureParts'

export function driftPicture(both: Drawn): Picture | null {
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
