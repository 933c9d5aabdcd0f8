import { panelMeter, type RowState } from '#core/run'
import { t } from '#shared/i18n'
import { measuredText } from './quantityWords'

/** What the set's own meter shows at two levels, and what that says of it; empty = read at one at most. */
export function panelMeterWords(rows: readonly RowState[]): string[] {
  const found = panelMeter(rows)
  if (!found) return []
  const [powerLow, powerHigh] = [found.low, found.high].map(l => measuredText(l.power, 'powerW'))
  const [panelLow, panelHigh] = [found.low, found.high].map(l => measuredText(l.panel, 'panelPowerW'))
  switch (found.verdict) {
    case 'agrees':
      return [t('run.panelAgrees', { panelLow, powerLow, panelHigh, powerHigh })]
    case 'scale':
      return [t('run.panelScale', { panelLow, powerLow, panelHigh, powerHigh })]
    case 'low-end':
      return [t('run.panelLowEnd', { panelLow, powerLow, panelHigh, powerHigh })]
    case 'not-linear':
      return [t('run.panelNotLinear', { panelLow, powerLow, panelHigh, powerHigh })]
    case null:
      return [t('run.panelLevels', { panelLow, powerLow, panelHigh, powerHigh })]
  }
}
