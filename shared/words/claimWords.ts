import { CLAIM_QUANTITIES, type Claim, type SettledClaim } from '#core/claims'
import { groupDigits } from '#core/quantity'

/** "under 3 W (power, high), on the owner's cross-needle meter" */
export function claimWords(claim: Claim): string {
  const info = CLAIM_QUANTITIES[claim.quantity]
  const label = claim.quantity === 'frequencyErrorHz' ? 'off frequency' : info.label
  const where = [...(claim.mode ? [claim.mode] : []), ...(claim.channel ? [`channel ${claim.channel}`] : [])]
    .map(w => `, ${w}`)
    .join('')
  const meter = claim.meter ? `, on the owner\u2019s ${claim.meter}` : ''
  return `${claim.kind} ${shown(claim.value, claim)} (${label}${where})${meter}`
}

/** Words only: a confirmed complaint is no "inside", so it gets none of the state marks. */
export const OUTCOME_WORDS: Record<SettledClaim['outcome'], string> = {
  'confirmed': 'confirmed',
  'refuted': 'contradicted',
  'cannot-tell': 'cannot tell',
  'not-measured': 'not measured yet',
}

/** The numbers that the outcome used. */
export function settledWords({ claim, measured, allowed }: SettledClaim): string {
  if (!measured) return 'the row to check it against is not measured yet'
  const bound =
    measured.bound === null
      ? 'uncertainty unknown'
      : `\u00b1${shown(Number(measured.bound.toPrecision(1)), claim, false)}`
  const range =
    allowed.low !== null && allowed.high !== null
      ? `; "about" taken as ${shown(allowed.low, claim)} to ${shown(allowed.high, claim)}`
      : ''
  return `${measured.rowTitle} read ${shown(measured.value, claim)} ${bound}${range}`
}

export function factorWords({ meterFactor }: SettledClaim): string | null {
  if (!meterFactor) return null
  const { ratio, differenceDb, meterSuspect } = meterFactor
  return (
    `The owner\u2019s meter times ${ratio.toFixed(2)} (${groupDigits(differenceDb, 1, true)} ` +
    'dB) agrees with our reading, near this level ' +
    `only.${meterSuspect ? ' The difference is probably in the owner\u2019s meter.' : ''}`
  )
}

function shown(valueSi: number, claim: Claim, withSign = true): string {
  const { perSi, shownUnit, signed } = CLAIM_QUANTITIES[claim.quantity]
  const value = Number((valueSi * perSi).toPrecision(3))
  const decimals = Math.min(3, (String(Math.abs(value)).split('.')[1] ?? '').length)
  return `${groupDigits(value, decimals, signed && withSign)}\u2009${shownUnit}`
}
