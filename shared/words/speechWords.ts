import { expandedUncertainty, showPlain, type Measured } from '#core/quantity'
import { speechReadings, tonesByPep, type RowState, type SpeechReading } from '#core/run'
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
  const depth = depthText(byPep)
  const ofPep = tone
    ? t('run.speechPepTone', { row, carrier, pep: pepRead, depth, tone: measuredText(tone, tone.quantity) })
    : t('run.speechPep', { row, carrier, pep: pepRead, depth })
  return [ofPep, ...ofMean]
}

function depthText(byPep: Measured): string {
  const bound = expandedUncertainty(byPep)
  const within =
    bound === null ? '' : ` \u00b1${showPlain(Number(bound.toPrecision(1)), 'depthPositiveRatio')}`
  return `${measuredText(byPep, 'depthPositiveRatio')}${within}`
}

/** What the PEP of a steady tone stands for where no depth was read, and what it leaves open. */
export const toneWords = (rows: readonly RowState[]): string[] =>
  tonesByPep(rows).map(({ point, carrier, pep, byPep }) => {
    const told = t('run.tonePep', {
      row: translated(point.title),
      carrier: measuredText(carrier, 'powerW'),
      pep: measuredText(pep, 'pepW'),
      depth: depthText(byPep),
    })
    const bound = expandedUncertainty(byPep)
    const isOpen = bound === null || Math.abs(byPep.value - 1) <= bound
    return isOpen ? `${told} ${t('run.overModulationOpen')}` : told
  })
