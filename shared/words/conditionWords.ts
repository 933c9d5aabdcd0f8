import { t, translated } from '#shared/i18n'
import { groupDigits, numberForField, showPlain, voltsToDbm } from '#core/quantity'
import { OWN_PLAN, channelHz, channelName, planOf, receivedHz, type ChannelPlan } from '#core/rules'
import {
  isOfReceiver,
  modulationOf,
  receiverTest,
  type MeasurePoint,
  type ModelSheet,
  type SetState,
} from '#core/sheet'
import { criterionWords, modulationWords } from './receiverWords'

export interface ConditionWords {
  readonly label: string
  readonly value: string
  /** the value says it without its label */
  readonly isPlain?: boolean
}

/** Under what a row is read, one condition after the other. */
export function conditionsWords(point: MeasurePoint, sheet: ModelSheet): ConditionWords[] {
  const { state } = point
  const plan = planOf(sheet)
  const out: ConditionWords[] = []
  if (state.channel !== null) out.push({ label: t('common.channel'), value: channelWords(plan, state) })
  if (state.coverage === 'expanded') out.push({ label: t('run.coverage'), value: t('run.expanded') })
  if (state.setting) out.push({ label: t('run.controls'), value: translated(state.setting) })
  out.push({
    label: t('run.set'),
    value: state.keyed ? t('run.keyed') : t('run.receiving'),
    isPlain: true,
  })
  if (state.keyed) out.push({ label: t('run.power'), value: powerWords(state, sheet) })
  if (state.toneHz !== null) {
    const drive = state.toneV === null ? '' : ` ${groupDigits(state.toneV * 1000, 0)} mV`
    out.push({ label: t('run.tone'), value: `${numberForField(state.toneHz / 1000)} kHz${drive}` })
  }
  if (modulationOf(state) === 'speech')
    out.push({ label: t('run.modulation'), value: t('sheet.speech'), isPlain: true })
  if (point.isOptional) out.push({ label: t('run.row'), value: t('sheet.optionalRow'), isPlain: true })
  if (point.wants.some(w => isOfReceiver(w.quantity)))
    out.push({ label: t('run.generator'), value: generatorWords(point) })
  return out
}

/** The position of the power control, by the name that it has on the set. */
function powerWords({ lowPower, powerPosition }: SetState, { powerNames }: ModelSheet): string {
  if (powerPosition) return translated(powerPosition)
  const name = lowPower ? powerNames?.low : powerNames?.high
  if (name) return translated(name)
  return lowPower ? t('run.low') : t('run.high')
}

/**
 * A channel as the set calls it; where that is not its number in a plan that everybody knows, with the
 * frequency that is to be set: received, where a set receives on another than it sends.
 */
function channelWords(plan: ChannelPlan, { channel, keyed }: MeasurePoint['state']): string {
  const name = channelName(plan, channel!)
  if (!plan.names && !plan.receiveHz && plan.id !== OWN_PLAN) return name
  const hz = keyed ? channelHz(plan, channel!) : receivedHz(plan, channel!)
  return `${name} (${numberForField(hz / 1e6)}\u2009MHz)`
}

/** Level, modulation and criterion: without them a sensitivity is a bare number. */
function generatorWords(point: MeasurePoint): string {
  const test = receiverTest(point)
  const level = point.state.inputV === null ? [] : [inputWords(point.state.inputV)]
  const criterion = point.wants.some(w => w.quantity === 'sensitivityV')
    ? [t('run.forWord', { receiverCriterion: criterionWords(test) })]
    : []
  return [...level, modulationWords(test.modulation), ...criterion].join(', ')
}

/** A generator level as it is dialled. */
function inputWords(inputV: number): string {
  return `${showPlain(inputV, 'sensitivityV')}, ${groupDigits(voltsToDbm(inputV), 0)} dBm`
}
