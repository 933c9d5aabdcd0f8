import { t } from '#shared/i18n'
import { groupDigits } from '#core/quantity'
import type { GeneratorModulation, ReceiverTest } from '#core/sheet'

/** What the generator sends while a receiver is measured. */
export function modulationWords(modulation: GeneratorModulation): string {
  switch (modulation.kind) {
    case 'none':
      return t('receiver.unmodulatedCarrier')
    case 'am':
      return `1 kHz AM ${groupDigits(modulation.depthRatio * 100, 0)} %`
    case 'fm':
      return `1 kHz FM ${groupDigits(modulation.deviationHz / 1000, 1)} kHz`
  }
}

export function criterionWords({ criterion }: Pick<ReceiverTest, 'criterion'>): string {
  return criterion === 'sinad-12' ? '12 dB SINAD' : '10 dB (S+N)/N'
}
