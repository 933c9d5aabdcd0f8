import { t } from '#shared/i18n'
import {
  quantityInfo,
  showErrorHz,
  showMeasured,
  showPlain,
  type Measured,
  type MenuFormat,
  type Quantity,
  numberForField,
} from '#core/quantity'
import { judgedVerdict, type Judgement, type Reason, type Verdict } from '#core/rules'
import { STATUS_CODES, type Requirement, type Forecast, type StepStatus } from '#core/run'
import { distanceWords } from './distanceWords'
import { profilesAsGoodAs } from '#core/instrument'

/** Shape and word of a state; colour only repeats what the shape says. */
export type Mark = Verdict | 'unjudged' | 'stale' | 'none' | 'partial' | 'skipped'

export function statusWord(status: StepStatus): string {
  return t(STATUS_CODES[status])
}

export function markOf(status: StepStatus): Mark {
  if (status === 'not-measured') return 'none'
  if (status === 'measured') return 'unjudged'
  return status === 'in-progress' ? 'partial' : status
}

/** What leads of several readings, all taken. */
export function markOfJudged(judgements: readonly Judgement[]): Mark {
  const verdicts = judgements.map(judgedVerdict).filter(v => v !== null)
  if (verdicts.length === 0) return 'unjudged'
  return verdicts.find(v => v !== 'inside') ?? 'inside'
}

/** A reading as the bench says it: an error in Hz where there is a nominal, the value otherwise. */
export function showAgainst(
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
    return t('verdict.fromTo', {
      low: showBound(low, quantity, nominalHz),
      high: showBound(high, quantity, nominalHz),
    })
  if (high !== null) return t('verdict.max', { high: showBound(high, quantity, nominalHz) })
  if (low === null) return t('verdict.noTarget')
  // "30 min min." is read twice.
  const code = quantityInfo(quantity).shownUnit === 'min' ? 'verdict.atLeast' : 'verdict.min'
  return t(code, { low: showBound(low, quantity, nominalHz) })
}

/** How reasons are put: as the furthest of several, or where the verdict stands beside as its own word. */
export interface ReasonStyle {
  readonly ofSeveral?: boolean
  readonly besideVerdict?: boolean
}

/** Why a verdict is what it is, with the numbers that were used; how far beyond, where it is. */
export function reasonWords(
  judgement: Judgement,
  quantity: Quantity,
  asked: Requirement,
  measured: Pick<Measured, 'value'>,
  { ofSeveral = false, besideVerdict = false }: ReasonStyle = {},
): string[] {
  const by = ofSeveral ? 'verdict.byUpTo' : 'verdict.by'
  const far = (reason: Reason) => {
    const beyond = reason.verdict === 'above' ? reason.high : reason.low
    if (beyond === null) return ''
    return ` ${t(by, { distance: distanceWords(measured.value, beyond, quantity, asked.nominalHz) })}`
  }
  return judgement.reasons.map(reason => {
    const range = windowWords(reason.low, reason.high, quantity, asked.nominalHz)
    const said = besideVerdict ? 'unsaid' : SAID[reason.verdict ?? 'inside']
    switch (reason.rule) {
      case 'target':
        return targetWords(reason.verdict!, said, far(reason), range)
      case 'limit':
        return limitWords(reason, said, far(reason), range, asked)
      case 'resolution':
        return t('verdict.meterCannotResolveReason')
    }
  })
}

/** Verdicts as the messages choose by them. */
const SAID: Readonly<Record<Verdict, string>> = {
  'inside': 'inside',
  'above': 'above',
  'below': 'below',
  'cannot-tell': 'cannotTell',
}

function targetWords(of: Verdict, verdict: string, far: string, range: string): string {
  if (of === 'inside') return t('verdict.withinTolerance', { verdict, range })
  if (of === 'cannot-tell') return t('verdict.cannotTellTheBoundThatWas', { verdict, range })
  return t('verdict.tolerance', { verdict, far, range })
}

function limitWords(reason: Reason, verdict: string, far: string, range: string, asked: Requirement): string {
  const limit = t('verdict.theLimit', {
    what: t(asked.limit?.kind === 'workshop' ? 'verdict.workshop' : 'verdict.legal'),
    range,
  })
  if (reason.verdict === 'inside') return t('verdict.withinUncertaintyIncluded', { verdict, limit })
  if (reason.undecided) return t('verdict.limitUndecided', { verdict, limit, why: reason.undecided })
  return t('verdict.beyondLimit', { verdict, limit, far })
}

/** What the connected instrument can decide, before keying; null when there is nothing to warn of. */
export function forecastWords(f: Forecast, quantity: Quantity): string | null {
  if (f.zone === null) {
    const better = f.neededOfReading === null ? [] : profilesAsGoodAs(quantity, f.neededOfReading)
    const cannot = t('verdict.thisInstrumentCannotConfirmTheTolerance')
    if (f.neededOfReading === null) return cannot
    const need = t('verdict.useOneWithinOfReading', {
      percent: numberForField(f.neededOfReading * 100, 2),
      example: better[0] ? t('verdict.forExample', { name: better[0].name }) : '',
    })
    return `${cannot} ${need}`
  }
  if (!f.resolves) return t('verdict.meterCannotResolve')
  return null
}

/** Readings that will be accepted with the connected instrument. */
export function zoneWords(f: Forecast, quantity: Quantity, nominalHz: number | null): string {
  return f.zone ? windowWords(f.zone.low, f.zone.high, quantity, nominalHz) : t('verdict.none')
}
