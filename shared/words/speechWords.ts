import { expandedUncertainty, showPlain } from '#core/quantity'
import { speechReadings, type RowState, type SpeechReading } from '#core/run'
import { t, translated } from '#shared/i18n'
import { measuredText } from './quantityWords'

/** What was read while somebody spoke, and that no depth follows from it; empty = no such row was read. */
export const speechWords = (rows: readonly RowState[]): string[] => speechReadings(rows).flatMap(oneRow)

function oneRow({ point, carrier: of, mean, pep, byPep, tone }: SpeechReading): string[] {
  const row = translated(point.title)
  const carrier = measuredText(of, 'powerW')
  const ofMean = mean ? [t('run.speechMean', { row, carrier, mean: measuredText(mean, 'powerW') })] : []
  if (!pep || !byPep) return ofMean
  const pepRead = measuredText(pep, 'pepW')
  const bound = expandedUncertainty(byPep)
  const within =
    bound === null ? '' : ` \u00b1${showPlain(Number(bound.toPrecision(1)), 'depthPositiveRatio')}`
  const depth = `${measuredText(byPep, 'depthPositiveRatio')}${within}`
  const ofPep = tone
    ? t('run.speechPepTone', { row, carrier, pep: pepRead, depth, tone: measuredText(tone, tone.quantity) })
    : t('run.speechPep', { row, carrier, pep: pepRead, depth })
  return [ofPep, ...ofMean]
}
