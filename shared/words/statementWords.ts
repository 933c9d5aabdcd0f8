import type { CheckedStatement, StatementKind } from '#core/diagnose'
import { groupDigits } from '#core/quantity'

const shown = ({ againstValue, againstUnit }: CheckedStatement) =>
  Number.isFinite(againstValue)
    ? `${groupDigits(againstValue, againstUnit === '' || Math.abs(againstValue) >= 100 ? 0 : 2)} ${againstUnit}`.trim()
    : 'no number'

/** What a statement comes to, in a sentence. */
export function statementWords(kind: StatementKind, checked: CheckedStatement): string {
  const number = shown(checked)
  const right = checked.verdict === 'possible'
  switch (kind.id) {
    case 'sideband':
      return right
        ? `Possible: ${number} max. each.`
        : `Impossible: full modulation puts ${number} at most into each sideband. PEP was meant?`
    case 'swr':
      return right
        ? `SWR ${number}.`
        : 'Impossible: reflected exceeds forward power. Swapped, or the meter reads low at low power?'
    case 'harmonic':
      return right ? 'Correct.' : `It is number ${number}: the fundamental counts as the first.`
    case 'span':
      return right ? 'The span contains them.' : `These channels need ${number}.`
    case 'off-or-moved':
      return right
        ? 'The two are different quantities, and differ.'
        : 'The error and the move have the same value. Only a log with times decides which it was.'
    case 'bessel':
      if (right) return 'First null: correct.'
      return checked.verdict === 'doubtful'
        ? `This is the second null. The first is at ${number}: raise the audio from zero.`
        : `No null there. The first is at ${number}.`

    case 'drift':
      return right ? `Settles at ${number}.` : 'This drift does not settle: no prediction. A jump?'
    case 'per-device':
      return right ? 'Within the rating.' : `Impossible: together they give ${number}.`
    case 'lead':
      return right
        ? `${number} apart: the lead is not the cause.`
        : `${number} apart: RF on the meter, or the SWR of the lead.`
    default:
      return checked.verdict
  }
}
