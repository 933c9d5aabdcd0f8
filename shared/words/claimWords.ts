import { t, type MessageCode, translated } from '#shared/i18n'
import { CLAIM_QUANTITIES, type Claim, type SettledClaim } from '#core/claims'
import { groupDigits } from '#core/quantity'

export const CLAIM_KIND_WORDS: Readonly<Record<Claim['kind'], MessageCode>> = {
  about: 'claim.about',
  under: 'claim.under',
  over: 'claim.over',
}

/** "under 3 W (power, high), on the owner's cross-needle meter" */
export function claimWords(claim: Claim): string {
  const info = CLAIM_QUANTITIES[claim.quantity]
  const label = claim.quantity === 'frequencyErrorHz' ? t('claim.offFrequency') : translated(info.label)
  const where = [
    ...(claim.mode ? [claim.mode] : []),
    ...(claim.channel ? [t('claim.channel', { channel: claim.channel })] : []),
  ]
    .map(w => `, ${w}`)
    .join('')
  const meter = claim.meter ? t('claim.onTheOwners', { meter: claim.meter }) : ''
  return `${t(CLAIM_KIND_WORDS[claim.kind])} ${shown(claim.value, claim)} (${label}${where})${meter}`
}

/** Words only: a confirmed complaint is no "inside", so it gets none of the state marks. */
export const OUTCOME_WORDS: Record<SettledClaim['outcome'], MessageCode> = {
  'confirmed': 'claim.confirmed',
  'refuted': 'claim.contradicted',
  'cannot-tell': 'common.cannotTell',
  'not-measured': 'claim.notMeasuredYet',
}

const SIDE_READ = { 'at-least': 'claim.readAtLeast', 'at-most': 'claim.readAtMost' } as const

/** The numbers that the outcome used. */
export function settledWords({ claim, measured, allowed }: SettledClaim): string {
  if (!measured) return t('claim.theRowToCheckItAgainst')
  const bound =
    measured.bound === null
      ? t('claim.uncertaintyUnknown')
      : `\u00b1${shown(Number(measured.bound.toPrecision(1)), claim, false)}`
  const range =
    allowed.low !== null && allowed.high !== null
      ? t('claim.aboutTakenAsTo', { low: shown(allowed.low, claim), high: shown(allowed.high, claim) })
      : ''
  const read = {
    rowTitle: translated(measured.rowTitle),
    measured: shown(measured.value, claim),
    range,
  }
  if (measured.side) return t(SIDE_READ[measured.side], read)
  return t('claim.read', { ...read, bound })
}

export function factorWords({ meterFactor }: SettledClaim): string | null {
  if (!meterFactor) return null
  const { ratio, differenceDb, meterSuspect } = meterFactor
  return t('claim.theOwnersMeterTimesDbAgrees', {
    ratio: groupDigits(ratio, 2),
    differenceDb: groupDigits(differenceDb, 1, true),
    what: meterSuspect ? ` ${t('claim.theDifferenceIsProbablyInThe')}` : '',
  })
}

function shown(valueSi: number, claim: Claim, withSign = true): string {
  const { perSi, shownUnit, signed } = CLAIM_QUANTITIES[claim.quantity]
  const value = Number((valueSi * perSi).toPrecision(3))
  const decimals = Math.min(3, (String(Math.abs(value)).split('.')[1] ?? '').length)
  return `${groupDigits(value, decimals, signed && withSign)}\u2009${shownUnit}`
}
