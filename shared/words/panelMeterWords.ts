import { showMeasured, type Reading } from '#core/quantity'
import { panelMeter, type RowState } from '#core/run'
import { t } from '#shared/i18n'

/** What the set's own meter shows at two levels, and what that says of it; empty = read at one at most. */
export function panelMeterWords(rows: readonly RowState[]): string[] {
  const found = panelMeter(rows)
  if (!found) return []
  const [powerLow, panelLow] = [watts(found.low.power, 'powerW'), watts(found.low.panel, 'panelPowerW')]
  const [powerHigh, panelHigh] = [watts(found.high.power, 'powerW'), watts(found.high.panel, 'panelPowerW')]
  switch (found.verdict) {
    case 'agrees':
      return [t('run.panelAgrees', { panelLow, powerLow, panelHigh, powerHigh })]
    case 'scale':
      return [t('run.panelScale', { panelLow, powerLow, panelHigh, powerHigh })]
    case 'not-linear':
      return [t('run.panelNotLinear', { panelLow, powerLow, panelHigh, powerHigh })]
    case null:
      return [t('run.panelLevels', { panelLow, powerLow, panelHigh, powerHigh })]
  }
}

function watts(reading: Reading, quantity: 'powerW' | 'panelPowerW'): string {
  const { value, unit } = showMeasured(reading, quantity)
  return `${value}\u2009${unit}`
}
