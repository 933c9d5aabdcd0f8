import {
  showErrorHz,
  showMeasured,
  showPlain,
  type Measured,
  type MenuFormat,
  type Quantity,
} from '../../core/quantity'
import type { Judgement, Reason, Verdict } from '../../core/rules'
import type { Asked, Forecast, StepStatus } from '../../core/run'
import { distanceWords } from './distanceWords'
import { profilesAsGoodAs } from '../../core/instrument'

/** Shape and word of a state; colour only repeats what the shape says. */
export type Mark = Verdict | 'stale' | 'none' | 'partial' | 'skipped'

const STATUS_WORDS: Record<StepStatus, string> = {
  'inside': 'inside',
  'above': 'above',
  'below': 'below',
  'cannot-tell': 'cannot tell',
  'stale': 'stale',
  'not-measured': 'not measured',
  'in-progress': 'under way',
  'skipped': 'skipped',
}

export function statusWord(status: StepStatus): string {
  return STATUS_WORDS[status]
}

export function markOf(status: StepStatus): Mark {
  if (status === 'not-measured') return 'none'
  return status === 'in-progress' ? 'partial' : status
}

/** A reading as the bench says it: an error in Hz where there is a nominal, the value otherwise. */
export function showAsked(
  measured: Measured,
  quantity: Quantity,
  nominalHz: number | null,
  menu?: MenuFormat,
) {
  return nominalHz === null
    ? showMeasured(measured, quantity, menu)
    : showErrorHz(measured.value - nominalHz, measured)
}

/** A bound of a window or limit in the same terms as the reading beside it. */
export function showBound(value: number, quantity: Quantity, nominalHz: number | null): string {
  return nominalHz === null
    ? showPlain(value, quantity)
    : `${showErrorHz(value - nominalHz, null).value}\u2009Hz`
}

export function windowWords(
  low: number | null,
  high: number | null,
  quantity: Quantity,
  nominalHz: number | null,
): string {
  if (low !== null && high !== null)
    return `${showBound(low, quantity, nominalHz)} to ${showBound(high, quantity, nominalHz)}`
  if (high !== null) return `at most ${showBound(high, quantity, nominalHz)}`
  return low !== null ? `at least ${showBound(low, quantity, nominalHz)}` : 'no target'
}

/** Why a verdict is what it is, with the numbers that were used; how far beyond, where it is. */
export function reasonWords(
  judgement: Judgement,
  quantity: Quantity,
  asked: Asked,
  measured: Pick<Measured, 'value'>,
): string[] {
  const far = (reason: Reason) => {
    const beyond = reason.verdict === 'above' ? reason.high : reason.low
    return beyond === null ? '' : ` by ${distanceWords(measured.value, beyond, quantity, asked.nominalHz)}`
  }
  return judgement.reasons.map(reason => {
    const range = windowWords(reason.low, reason.high, quantity, asked.nominalHz)
    switch (reason.rule) {
      case 'target':
        return targetWords(reason.verdict!, far(reason), range)
      case 'limit':
        return limitWords(reason.verdict!, far(reason), reason.limitId!, range, asked)
      case 'resolution':
        return 'this meter cannot resolve the tolerance'
      case 'uncertainty-unknown':
        return 'no instrument named: uncertainty unknown'
    }
  })
}

function targetWords(verdict: Verdict, far: string, range: string): string {
  if (verdict === 'inside') return `inside the target, ${range}`
  if (verdict === 'cannot-tell') return `the bound that was read does not decide the target, ${range}`
  return `${verdict} the target${far}, ${range}`
}

function limitWords(verdict: Verdict, far: string, id: string, range: string, asked: Asked): string {
  const what = asked.limit?.kind === 'workshop' ? 'the workshop limit' : 'the legal limit'
  if (verdict === 'inside') return `within ${what} ${id}, ${range}, uncertainty included`
  if (verdict === 'cannot-tell') return `the reading with its uncertainty straddles ${what} ${id}, ${range}`
  return `${verdict} ${what} ${id}${far}, ${range}`
}

/** What the connected instrument can decide, before keying; null when there is nothing to warn of. */
export function forecastWords(f: Forecast, quantity: Quantity): string | null {
  if (f.zone === null) {
    const better = f.neededOfReading === null ? [] : profilesAsGoodAs(quantity, f.neededOfReading)
    const need =
      f.neededOfReading === null
        ? ''
        : ` It takes ${(f.neededOfReading * 100).toPrecision(2)} % of reading or ` +
          `better${better[0] ? `, for example: ${better[0].name}` : ''}.`
    return `This instrument leaves no reading that could be called inside.${need}`
  }
  if (!f.resolves) return 'This meter cannot resolve the tolerance.'
  return null
}

/** Readings that will be accepted with the connected instrument. */
export function zoneWords(f: Forecast, quantity: Quantity, nominalHz: number | null): string {
  return f.zone ? windowWords(f.zone.low, f.zone.high, quantity, nominalHz) : 'none'
}
