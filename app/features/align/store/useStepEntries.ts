import { t } from '#shared/i18n'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useLiveStore } from '~/features/instruments/store/live'
import { useJobStore } from '~/features/job/store/job'
import { watch } from 'vue'
import { asItIs, doubting } from '../logic/doubts'
import type { useAlignCoach } from '../logic/useAlignCoach'
import type { useRunPosition } from '../logic/useRunPosition'
import { useRowTaking } from '../logic/useRowTaking'

type Position = ReturnType<typeof useRunPosition>
type Say = (text: string, kind?: 'ok' | 'problem') => void

/** What is entered at a step: rows taken and typed, what was turned, a warm-up that was not waited for. */
export function useStepEntries(position: Position, coach: ReturnType<typeof useAlignCoach>, say: Say) {
  const { stepId, chosenPoint, pointId, want } = position
  const job = useJobStore()
  const live = useLiveStore()
  const { typing, take, takeTyped } = useRowTaking({
    sheet: () => job.sheet!,
    phase: 'adjusting',
    doubting: doubting(asItIs(job), useInstrumentsStore(), () => job.asFound),
    liveOf: live.liveOf,
    shown: live.shown,
    rfSeen: live.rfSeen,
    append: job.append,
    say,
  })
  watch([stepId, pointId], () => (typing.value = null))

  /** @param code menu value with which the row is taken */
  async function takeNow(code: number | null = null) {
    const withCode = code === null ? [] : [{ quantity: 'menuCode' as const, value: code, instrument: null }]
    if (await take(stepId.value, pointId.value, withCode)) chosenPoint.value = null
  }
  async function takeBeat(offHz: number) {
    const { nominalHz } = want.value.requirement
    if (nominalHz === null) return say(t('align.thisRowHasNoNominalFrequency'), 'problem')
    await takeTyped(stepId.value, pointId.value, [
      { quantity: want.value.want.quantity, value: nominalHz + offHz, instrument: null },
    ])
  }
  async function turned(designators: readonly string[]) {
    if (designators.length === 0) return say(t('align.nothingToAdjustSaid'), 'problem')
    await job.append({ kind: 'adjuster-turned', designators, stepId: stepId.value, startPosition: '' })
    const which =
      designators.length > 2
        ? t('align.firstToLast', { designator: designators[0], at: designators.at(-1) })
        : designators.join(', ')
    say(t('align.loggedAsAdjusted', { which }))
  }
  async function putBack(designator: string) {
    await job.append({
      kind: 'adjuster-turned',
      designators: [designator],
      stepId: stepId.value,
      startPosition: '',
      isReturned: true,
    })
    say(t('align.loggedAsPutBack', { designator }))
  }
  async function passGate(reason: string) {
    await job.append({
      kind: 'gate-passed',
      stepId: stepId.value,
      driftHzPerMin: coach.gate.value!.fit?.rateHzPerMin ?? null,
      onTimeS: live.liveOf('onTimeS')?.value ?? null,
      reason,
    })
  }
  const type = (first: string) => (typing.value = { pointId: pointId.value, first })
  return {
    typing,
    type,
    cancelTyping: () => (typing.value = null),
    takeTyped: (entries: Parameters<typeof takeTyped>[2]) => takeTyped(stepId.value, pointId.value, entries),
    takeNow,
    takeBeat,
    turned,
    putBack,
    passGate,
  }
}
