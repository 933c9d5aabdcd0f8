import { computed, ref, shallowRef, watch } from 'vue'
import type { Accuracy, Quantity } from '#core/quantity'
import {
  NEW_SETTING,
  balanceView,
  driftLimit,
  driftSamples,
  isFrequencyStep,
  isReadable,
  lawGuide,
  menuEntry,
  menuGoal,
  menuReadings,
  originalCode,
  peakKey,
  peakLevel,
  peakQuantities,
  seeksPeak,
  settingAdvice,
  settingScale,
  settingStep,
  settingTarget,
  warmGate,
  type JobEvent,
  type RfSeen,
  type RowState,
  type RunState,
  type StepState,
  type MeasurandState,
} from '#core/run'
import { NO_DRIFT_LIMIT, adjusterOf, type ModelSheet } from '#core/sheet'
import { channelHz, planOf } from '#core/rules'
import { onSinceMs, warmMinutes } from '#core/work'
import type { LiveEntry } from '~/features/instruments/logic/liveBook'
import type { TrendPoint } from './trends'
import { usePeakGuide } from './usePeakGuide'

/** Of a set that nobody said was switched on, so much is looked at [ms]. */
const WATCHED_MS = 3_600_000
export interface CoachParts {
  readonly sheet: () => ModelSheet
  readonly run: () => RunState
  readonly events: () => readonly JobEvent[]
  readonly asFound: () => readonly RowState[]
  readonly state: () => StepState
  readonly want: () => MeasurandState
  readonly nowMs: () => number
  readonly liveOf: (q: Quantity) => LiveEntry | null
  readonly driftOf: (q: Quantity) => readonly TrendPoint[]
  /** RF and key as the bench shows them */
  readonly rfSeen: () => RfSeen
  /** under what a quantity is read now: a change ends what a guide knows */
  readonly stretchOf: (q: Quantity) => string
  readonly accuracy: () => Accuracy | null
}

/**
 * Everything that helps at a step: peak, balance, target, menu values, warm-up. Which of them are shown
 * follows from the step.
 */
export function useAlignCoach(parts: CoachParts) {
  const { sheet, run, state, want } = parts
  const adjusters = computed(() => state().step.adjusters.map(d => adjusterOf(sheet(), d)))

  /** The live entry of a quantity while it means anything: an unkeyed stage has no dip and no output. */
  function meaningful(q: Quantity): LiveEntry | null {
    const entry = parts.nowMs() > 0 ? parts.liveOf(q) : null
    return entry?.value != null && isReadable(q, want().point.state, parts.rfSeen()) ? entry : null
  }

  // For a maximum or a dip
  const chosen = ref<string | null>(null)
  const choices = computed(() =>
    peakQuantities(state().step, q => parts.nowMs() > 0 && parts.liveOf(q)?.value != null),
  )
  const peaked = computed(
    () => choices.value.find(c => peakKey(c) === chosen.value) ?? choices.value[0] ?? null,
  )
  const needle = computed(() => {
    const entry = peaked.value ? meaningful(peaked.value.quantity) : null
    return entry?.value == null
      ? null
      : { atMs: entry.receivedAtMs, value: peakLevel(peaked.value!, entry.value) }
  })
  const shownValue = computed(() =>
    peaked.value ? (meaningful(peaked.value.quantity)?.value ?? null) : null,
  )
  const peak = usePeakGuide(needle, () => shownValue.value)
  const peakable = computed(() => peaked.value !== null && seeksPeak(state().step, adjusters.value))

  // For equal power over the band
  const balance = computed(() => {
    const { step, criterion } = state()
    return criterion?.limitDb === undefined
      ? null
      : balanceView(sheet(), step, run().history, criterion.limitDb)
  })

  // For a number
  const setting = shallowRef(NEW_SETTING)
  const target = computed(() => settingTarget(state().step, want(), adjusters.value))
  watch(
    () => meaningful(want().want.quantity)?.receivedAtMs ?? null,
    () => {
      const entry = meaningful(want().want.quantity)
      if (target.value && entry?.value != null)
        setting.value = settingStep(
          setting.value,
          { atS: entry.receivedAtMs / 1000, value: entry.value },
          settingScale(target.value),
        )
    },
  )
  const isLive = computed(() => meaningful(want().want.quantity) !== null)
  const advice = computed(() =>
    target.value && isLive.value ? settingAdvice(setting.value, target.value) : null,
  )
  // The first value after keying, on another channel or with another instrument is no turn of anything.
  watch(
    () => parts.stretchOf(want().want.quantity),
    () => (setting.value = NEW_SETTING),
  )
  watch(() => (peaked.value ? parts.stretchOf(peaked.value.quantity) : ''), peak.resume)
  // Sought the other way, or on another quantity, what was found before says nothing: the word "stop"
  // neither.
  watch(
    () => (peaked.value ? peakKey(peaked.value) : ''),
    () => {
      if (peak.on.value) peak.begin()
    },
  )
  watch(
    () => `${state().step.id} ${want().point.id} ${want().want.quantity}`,
    () => {
      setting.value = NEW_SETTING
      chosen.value = null
      peak.end()
    },
  )

  // For a menu
  const menu = computed(() => {
    const entry = menuEntry(state().step, want(), adjusters.value)
    if (!entry) return null
    const { designator, format } = entry
    const { point, want: wanted, requirement } = want()
    return {
      entry: designator,
      readings: menuReadings(run().history, state().step.id, point.id, wanted.quantity),
      // A frequency has two ends and may fall as the value rises: nothing is proposed by trying.
      goal:
        requirement.nominalHz !== null
          ? null
          : menuGoal(requirement, parts.accuracy(), format, want().latest?.reading ?? null),
      format,
      quantity: wanted.quantity,
      original: originalCode(parts.asFound(), { entry: designator, coverage: point.state.coverage }),
    }
  })

  const law = computed(() => lawGuide(sheet(), state().step, want(), run().history, parts.asFound()))

  // For frequency
  const gate = computed(() => {
    if (!isFrequencyStep(state().step) || driftLimit(sheet()) >= NO_DRIFT_LIMIT) return null
    const { requirement, point } = want()
    const nowMs = parts.nowMs()
    const onMs = onSinceMs(parts.events(), nowMs)
    const liveOnS = nowMs > 0 ? (parts.liveOf('onTimeS')?.value ?? null) : null
    const samples = driftSamples(sheet(), {
      carrier: parts.driftOf('carrierHz'),
      reference: parts.driftOf('referenceHz'),
      history: run().history,
      sinceMs: onMs ?? nowMs - WATCHED_MS,
      carrierNominalHz:
        want().want.quantity === 'carrierHz' && requirement.nominalHz !== null
          ? requirement.nominalHz
          : channelHz(planOf(sheet()), point.state.channel ?? sheet().main.fromChannel),
    })
    return warmGate(
      driftLimit(sheet()),
      samples,
      liveOnS ?? (onMs === null ? null : (nowMs - onMs) / 1000),
      warmMinutes(sheet()) * 60,
    )
  })
  const passedAtMs = computed(
    () =>
      parts.events().findLast(e => e.kind === 'gate-passed' && e.stepId === state().step.id)?.atMs ?? null,
  )

  return {
    adjusters,
    peak,
    peakable,
    peaked,
    choices,
    choosePeak: (q: string) => (chosen.value = q),
    shownValue,
    balance,
    advice,
    menu,
    law,
    gate,
    passedAtMs,
  }
}
