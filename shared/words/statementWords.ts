import type { CheckedStatement, StatementKind } from '../../core/diagnose'
import { groupDigits } from '../../core/quantity'

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
        ? `Possible: at most ${number} each.`
        : `Impossible: full modulation puts at most ${number} into each sideband. PEP was meant?`
    case 'swr':
      return right
        ? `SWR ${number}.`
        : 'Impossible: more comes back than goes out. Exchanged, or the meter reads low at low power.'
    case 'harmonic':
      return right ? 'Right.' : `It is number ${number}: the fundamental counts as the first.`
    case 'span':
      return right ? 'The span holds them.' : `These channels need ${number}.`
    case 'off-or-moved':
      return right
        ? 'The two are different things, and differ.'
        : 'Off by and moved by are the same figure: only a log with times decides.'
    case 'bessel':
      return right
        ? 'First null: right.'
        : checked.verdict === 'doubtful'
          ? `This is the second null. The first stands for ${number}: raise the audio from zero.`
          : `No null there; the first stands for ${number}.`
    case 'drift':
      return right ? `Settles at ${number}.` : 'This is no settling: no prediction. A jump?'
    case 'per-device':
      return right ? 'Within the rating.' : `Impossible: they give ${number} together.`
    case 'lead':
      return right
        ? `${number} apart: the lead is not it.`
        : `${number} apart: RF on the meter, or the SWR of the lead.`
    default:
      return checked.verdict
  }
}
