import { format } from 'date-fns'
import {
  GOES_STALE,
  isOfReceiver,
  receiverTest,
  stepOf,
  type MeasurePoint,
  type ModelSheet,
  type Step,
} from '#core/sheet'
import {
  restOf,
  type Difference,
  type Next,
  type OpenItem,
  type StepState,
  type Turn,
  type TurnQuestion,
} from '#core/run'
import { HEX_BYTE, groupDigits, quantityInfo, showPlain, voltsToDbm } from '#core/quantity'
import { channelName } from '#core/rules'
import { criterionWords as receiverCriterionWords, modulationWords } from './receiverWords'
import { showAgainst, statusWord } from './verdictWords'

export function clockTime(atMs: number): string {
  return format(atMs, 'HH:mm')
}

export function dayAndTime(atMs: number): string {
  return format(atMs, 'd MMM yyyy, HH:mm')
}

export function day(iso: string | null): string {
  return iso ? format(new Date(`${iso}T12:00:00`), 'EEE d MMM') : 'no due date'
}

/** "CT1 (reference trimmer) turned 10:32, seen by the reading" */
export function turnWords(turns: readonly Turn[]): string {
  const names = [...new Set(turns.map(t => t.designator))]
  const last = turns.at(-1)
  if (!last) return ''
  const how = last.inferred ? 'probably adjusted, inferred from a reading that moved,' : 'adjusted'
  const what =
    names.length === 1
      ? last.name
        ? `${last.designator} (${last.name})`
        : last.designator
      : names.length > 3
        ? `${names[0]} to ${names.at(-1)}`
        : names.join(', ')
  return `${what}: ${how} at ${clockTime(last.atMs)}`
}

/** What moved, and what is asked about it. */
export function turnQuestionWords(q: TurnQuestion): string {
  const isFrequency = quantityInfo(q.quantity).siUnit === 'Hz' && q.before > 1e5
  const by = isFrequency
    ? `${groupDigits(q.now - q.before, 0, true)} Hz`
    : `${showPlain(q.before, q.quantity)} to ${showPlain(q.now, q.quantity)}`
  const what = q.designators.length === 1 ? `Was ${q.designators[0]} adjusted?` : 'Which was adjusted?'
  return (
    `${what} ${quantityInfo(q.quantity).label} moved, ${by}, and no ` +
    `adjustment is logged.${q.inferred ? '' : ' It could be drift.'}`
  )
}

export function staleWords(turns: readonly Turn[]): string {
  const last = turns.at(-1)
  return last ? `${turnWords(turns)}; ${GOES_STALE[last.role].because}` : ''
}

/** Which step is next and why, in one sentence. */
export function nextWords(sheet: ModelSheet, next: Next): string {
  const { title } = stepOf(sheet, next.stepId)
  switch (next.reason.kind) {
    case 'not-measured':
      return `${title}: not measured yet`
    case 'in-progress':
      return `${title}: in progress`
    case 'stale':
      return `${title}: recheck. ${staleWords(next.reason.turns)}`
    case 'outside':
      return `${title}: ${next.reason.verdict} tolerance`
    case 'cannot-tell':
      return `${title}: cannot tell with this instrument`
    case 'unconfirmed':
      return `${title}: within, not confirmed`
    case 'reopened':
      return `${title}: reopened${next.reason.reason ? `, ${next.reason.reason}` : ''}`
    case 'skip-lapsed':
      return (
        `${title}: was skipped because of ` +
        `"${stepOf(sheet, next.reason.source).title}", which is no longer within`
      )
  }
}

export function conditionsWords(point: MeasurePoint, planId: string): { label: string; value: string }[] {
  const { state } = point
  const out = [] as { label: string; value: string }[]
  if (state.channel !== null) out.push({ label: 'Channel', value: channelName(planId, state.channel) })
  if (state.coverage === 'expanded') out.push({ label: 'Coverage', value: 'expanded' })
  if (state.setting) out.push({ label: 'Controls', value: state.setting })
  out.push({ label: 'Set', value: state.keyed ? 'keyed' : 'receiving' })
  if (state.keyed) out.push({ label: 'Power', value: state.lowPower ? 'low' : 'high' })
  if (state.toneHz !== null)
    out.push({
      label: 'Tone',
      value: `${state.toneHz / 1000} kHz${state.toneV === null ? '' : ` ${groupDigits(state.toneV * 1000, 0)} mV`}`,
    })
  if (point.wants.some(w => isOfReceiver(w.quantity)))
    out.push({ label: 'Generator', value: generatorWords(point) })
  return out
}

/** Level, modulation and criterion: without them a sensitivity is a bare number. */
function generatorWords(point: MeasurePoint): string {
  const test = receiverTest(point)
  const level = point.state.inputV === null ? [] : [inputWords(point.state.inputV)]
  const criterion = point.wants.some(w => w.quantity === 'sensitivityV')
    ? [`for ${receiverCriterionWords(test)}`]
    : []
  return [...level, modulationWords(test.modulation), ...criterion].join(', ')
}

/** A generator level as it is dialled. */
function inputWords(inputV: number): string {
  return `${showPlain(inputV, 'sensitivityV')}, ${groupDigits(voltsToDbm(inputV), 0)} dBm`
}

export function differenceWords(d: Difference): string {
  switch (d.kind) {
    case 'supply':
      return `supply ${d.beforeV.toFixed(2)} V, then ${d.afterV.toFixed(2)} V`
    case 'load':
      return `different load (${d.before} / ${d.after})`
    case 'instrument':
      return `different instrument (${d.before ?? 'not stated'} / ${d.after ?? 'not stated'})`
    case 'tone':
      return 'different tone'
    case 'drive':
      return 'different audio drive'
    case 'input':
      return 'different generator level'
    case 'mode':
      return 'different mode'
    case 'channel':
      return 'different channel'
    case 'power-switch':
      return 'different power setting'
    case 'coverage':
      return 'coverage expanded on one of them'
    case 'setting':
      return `different controls (${d.before || 'as usual'} / ${d.after || 'as usual'})`
    case 'warm-up':
      return `${Math.round(d.beforeS / 60)} min, then ${Math.round(d.afterS / 60)} min after power-on`
    case 'unknown':
      return d.what === 'supply'
        ? 'supply voltage not recorded on both'
        : 'minutes since power-on not recorded on both'
  }
}

/** What a ladder line says under its title. */
export function stepLine(sheet: ModelSheet, s: StepState): string {
  if (s.status === 'stale' && s.satisfied) return 'recheck: affected by later work, measured again below'
  if (s.status === 'stale')
    return (
      `recheck: ${[...new Set(s.staleBy.map(t => t.designator))].slice(0, 3).join(', ')} ` + 'adjusted since'
    )
  if (s.status === 'skipped')
    return s.confirmed?.reason
      ? `skipped: ${s.confirmed.reason}`
      : `skipped: "${s.step.skipIf ? stepOf(sheet, s.step.skipIf).title : ''}" is within`
  const value = criterionWords(s) || valueWords(s)
  const accepted =
    s.confirmed?.outcome === 'as-is' && s.status !== 'inside'
      ? s.step.decides
        ? ', adjustment needed'
        : ', accepted as is'
      : ''
  const open = s.status === 'inside' && !s.confirmed ? ', not confirmed' : ''
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
    : 'one end without power'
  return c.kind === 'spread' ? `spread ${shown}` : `last pass ${shown}`
}

export function keyDownWords(step: Step): string {
  return step.keyDownLimitS === null
    ? 'not keyed'
    : `max. ${step.keyDownLimitS} s keyed, then rest twice as long`
}

const ITEM_WORDS: Record<OpenItem['kind'], string> = {
  'owed': 'part of the procedure, not done yet',
  'step-open': 'alignment step',
  'accepted-as-is': 'accepted as is',
  'skipped': 'skipped',
  'as-found-missing': 'as found',
  'as-left-missing': 'as left',
  'as-left-stale': 'as left, recheck',
  'as-left-outside': 'as left, not within',
  'as-left-doubtful': 'as left, implausible',
  'question': 'question to the owner',
  'wait': 'on hold',
  'ask-owner': 'found on inspection, ask the owner',
  'reminder': 'reminder, now due',
  'after-final': 'required after a new final',
  'soak': 'soak test',
}
export function itemWords(item: OpenItem): string {
  return ITEM_WORDS[item.kind]
}

/**
 * Key-down where no step says how long: the shortest that the sheet allows anywhere, with the rest of its
 * kind of set.
 */
export function shortestKeyDownWords({ procedure, kind }: Pick<ModelSheet, 'procedure' | 'kind'>): string {
  const limits = procedure.flatMap(s => s.keyDownLimitS ?? [])
  const { minS } = restOf(kind)
  const rest = `then rest twice as long${minS > 0 ? `, at least ${minS} s` : ''}.`
  return limits.length > 0
    ? `Key for ${Math.min(...limits)} s at most, ${rest}`
    : `Key for seconds only, ${rest}`
}
