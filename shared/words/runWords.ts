import { quantityLabel } from '#shared/words/quantityWords'
import { t, translated } from '#shared/i18n'
import { GOES_STALE, stepOf, type ModelSheet, type Step } from '#core/sheet'
import {
  restOf,
  shortestKeyDownS,
  type Difference,
  type Next,
  type StepState,
  type Turn,
  type TurnQuestion,
} from '#core/run'
import { HEX_BYTE, groupDigits, quantityInfo, showPlain } from '#core/quantity'
import { clockTime } from './dateWords'
import { showAgainst, statusWord } from './verdictWords'
import { turnedNames } from './turnedNames'

/** "CT1 (reference trimmer) turned 10:32, seen by the reading" */
export function turnWords(turns: readonly Turn[]): string {
  const names = [...new Set(turns.map(t => t.designator))]
  const last = turns.at(-1)
  if (!last) return ''
  const how = last.inferred ? t('run.probablyAdjustedInferredFromAReading') : t('run.adjusted')
  return t('run.at', { what: turnedWords(names, last), how, clockTime: clockTime(last.atMs) })
}

function turnedWords(names: readonly string[], last: Turn): string {
  if (names.length > 3) return t('run.fromTo', { name: names[0], at: names.at(-1) })
  if (names.length > 1) return names.join(', ')
  return last.name ? `${last.designator} (${last.name})` : last.designator
}

/** What moved, and what is asked about it. */
export function turnQuestionWords(q: TurnQuestion): string {
  const isFrequency = quantityInfo(q.quantity).siUnit === 'Hz' && q.before > 1e5
  const by = isFrequency
    ? `${groupDigits(q.now - q.before, 0, true)} Hz`
    : t('run.movedFromTo', { before: showPlain(q.before, q.quantity), now: showPlain(q.now, q.quantity) })
  const what =
    q.designators.length === 1
      ? t('run.wasAdjusted', { designator: q.designators[0] })
      : t('run.whichWasAdjusted')
  return t('run.movedAndNoAdjustmentIsLogged', {
    what,
    label: quantityLabel(q.quantity),
    by,
    couldBeDrift: q.inferred ? '' : ` ${t('run.itCouldBeDrift')}`,
  })
}

export function staleWords(turns: readonly Turn[]): string {
  const last = turns.at(-1)
  return last ? `${turnWords(turns)}; ${translated(GOES_STALE[last.role].because)}` : ''
}

const NOT_CONFIRMED = {
  inside: 'run.withinNotConfirmed',
  measured: 'run.measuredNotConfirmed',
} as const

/** Which step is next and why, in one sentence. */
export function nextWords(sheet: ModelSheet, next: Next): string {
  const { title } = stepOf(sheet, next.stepId)
  switch (next.reason.kind) {
    case 'not-measured':
      return t('run.notMeasuredYet', { title })
    case 'in-progress':
      return t('run.inProgress', { title })
    case 'stale':
      return t('run.recheck', { title, stale: staleWords(next.reason.turns) })
    case 'outside':
      return t('run.tolerance', { title, verdict: next.reason.verdict })
    case 'cannot-tell':
      return t('run.cannotTellFromItsReadings', { title })
    case 'unconfirmed':
      return t(NOT_CONFIRMED[next.reason.status], { title })
    case 'reopened':
      return t('run.reopened', { title, what: next.reason.reason ? `, ${next.reason.reason}` : '' })
    case 'skip-lapsed':
      return t('run.wasSkippedBecauseOfWhichIs', {
        title,
        sourceTitle: stepOf(sheet, next.reason.source).title,
      })
  }
}

export function differenceWords(d: Difference): string {
  switch (d.kind) {
    case 'supply':
      return t('run.supplyVThenV', { beforeV: groupDigits(d.beforeV, 2), afterV: groupDigits(d.afterV, 2) })
    case 'load':
      return t('run.differentLoad', { before: translated(d.before), after: translated(d.after) })
    case 'instrument':
      return t('run.differentInstrument', {
        before: d.before === null ? t('run.notStated') : translated(d.before),
        after: d.after === null ? t('run.notStated') : translated(d.after),
      })
    case 'tone':
      return t('run.differentTone')
    case 'modulation':
      return t('run.differentModulation')
    case 'drive':
      return t('run.differentAudioDrive')
    case 'input':
      return t('run.differentGeneratorLevel')
    case 'mode':
      return t('run.differentMode')
    case 'channel':
      return t('run.differentChannel')
    case 'power-switch':
      return t('run.differentPowerSetting')
    case 'coverage':
      return t('run.coverageExpandedOnOneOfThem')
    case 'setting':
      return t('run.differentControls', {
        before: translated(d.before) || t('run.asUsual'),
        after: translated(d.after) || t('run.asUsual'),
      })
    case 'turned-before':
      return t('run.turnedBeforeAsFound', { list: turnedNames(d.turns) })
    case 'warm-up':
      return t('run.minThenMinAfterPowerOn', {
        beforeS: Math.round(d.beforeS / 60),
        afterS: Math.round(d.afterS / 60),
      })
    case 'unknown':
      return d.what === 'supply'
        ? t('run.supplyVoltageNotRecordedOnBoth')
        : t('run.minutesSincePowerOnNotRecorded')
  }
}

/** What a ladder line says under its title. */
export function stepLine(sheet: ModelSheet, s: StepState): string {
  if (s.status === 'stale' && s.satisfied) return t('run.recheckAffectedByLaterWorkMeasured')
  if (s.status === 'stale')
    return t('run.recheckAdjustedSince', {
      list: [...new Set(s.staleBy.map(t => t.designator))].slice(0, 3).join(', '),
    })
  if (s.status === 'skipped')
    return s.confirmed?.reason
      ? t('run.skippedBecause', { reason: s.confirmed.reason })
      : t('run.skippedIsWithin', { what: s.step.skipIf ? stepOf(sheet, s.step.skipIf).title : '' })
  const value = criterionWords(s) || valueWords(s)
  const asIs = s.step.decides ? t('run.adjustmentNeeded') : t('run.acceptedAsIs')
  const isFine = s.status === 'inside' || s.status === 'measured'
  const accepted = s.confirmed?.outcome === 'as-is' && !isFine ? asIs : ''
  const open = isFine && !s.confirmed ? t('run.notConfirmed') : ''
  return `${value ? `${value}, ` : ''}${statusWord(s.status)}${accepted}${open}`
}

/**
 * The reading of a step with one number; of several the one that decides: outside first, then the last one
 * taken, with what it is.
 */
function valueWords(s: StepState): string {
  const taken = s.wants.filter(
    w => w.latest && (w.want.quantity !== 'menuCode' || s.wants.every(o => o.want.quantity === 'menuCode')),
  )
  const isOutside = (w: StepState['wants'][number]) =>
    w.judgement?.verdict === 'above' || w.judgement?.verdict === 'below'
  const [first] = taken.toSorted(
    (a, b) => Number(isOutside(b)) - Number(isOutside(a)) || b.latest!.order - a.latest!.order,
  )
  if (!first) return ''
  const shown = showAgainst(
    first.latest!.reading,
    first.want.quantity,
    first.requirement.nominalHz,
    first.want.menu ?? HEX_BYTE,
  )
  const quantities = new Set(s.wants.map(w => w.want.quantity))
  const modes = new Set(s.wants.map(w => w.point.state.mode))
  const what = [
    ...(modes.size > 1 ? [first.point.state.mode] : []),
    ...(quantities.size > 1 ? [quantityInfo(first.want.quantity).symbol] : []),
  ].join(' ')
  return `${what ? `${what} ` : ''}${shown.value}\u2009${shown.unit}`
}

export function criterionWords(s: StepState): string {
  const c = s.criterion
  if (!c || c.valueDb === null) return ''
  const shown = Number.isFinite(c.valueDb)
    ? `${groupDigits(c.valueDb, 2, c.kind === 'peak')}\u2009dB`
    : t('run.oneEndWithoutPower')
  return c.kind === 'spread' ? t('run.spread', { shown }) : t('run.lastPass', { shown })
}

export function keyDownWords(step: Step): string {
  return step.keyDownLimitS === null
    ? t('run.notKeyed')
    : t('run.maxSKeyedThenRestTwice', { keyDownLimitS: step.keyDownLimitS })
}

/**
 * Key-down where no step says how long: the shortest that the sheet allows anywhere, with the rest of its
 * kind of set.
 */
export function shortestKeyDownWords(sheet: Pick<ModelSheet, 'procedure' | 'kind'>): string {
  const limitS = shortestKeyDownS(sheet)
  const { minS } = restOf(sheet.kind)
  const rest = t('run.thenRestTwiceAsLong', { what: minS > 0 ? t('run.atLeastS', { minS }) : '' })
  return limitS === null
    ? t('run.keyForSecondsOnly', { rest })
    : t('run.keyForSAtMost', { min: limitS, rest })
}
