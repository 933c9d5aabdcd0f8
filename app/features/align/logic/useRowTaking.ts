import { t, type MessageCode } from '#shared/i18n'
import { notStoredWords } from './notStoredWords'
import { ref, type Ref } from 'vue'
import { v4 as uuid } from 'uuid'
import type { Quantity, Reading } from '#core/quantity'
import { rowObstacle, type Phase, type RfSeen, type RowObstacle, type RowTaken } from '#core/run'
import { channelName, planOf } from '#core/rules'
import { pointOf, type MeasurePoint, type ModelSheet } from '#core/sheet'
import { showPlain } from '#core/quantity'
import { checkedReadings, liveReadings, otherChannel, rowConditions, rowTaken, type LiveOf } from './takeRow'
import { doubtsOf, type DoubtContext } from './doubts'
import { whyNoneLive, type ShownEntry } from '~/features/instruments/logic/noReadingWords'
import { readingOf, type TypedValue } from './typedText'

/** What a screen that takes rows needs from the stores. */
export interface RowTakingParts {
  readonly sheet: () => ModelSheet
  readonly phase: Phase
  /** what a row is held against at once: the rest of the matrix, scales of the meters */
  readonly doubting: () => DoubtContext
  readonly liveOf: LiveOf
  /** what is shown of a quantity, live or not: says why there is nothing to take */
  readonly shown: (quantity: Quantity) => ShownEntry | null
  /** RF and key as the bench shows them */
  readonly rfSeen: () => RfSeen
  readonly append: (event: Omit<RowTaken, 'id' | 'atMs'>) => Promise<void>
  readonly say: (text: string, kind?: 'ok' | 'problem') => void
}

const OBSTACLE_WORDS: Record<RowObstacle, MessageCode> = {
  'not-keyed': 'align.noSignThatTheSetIs',
  'no-rf': 'align.keyedButNoRfCheckThe',
}

/** Taking rows from instruments and by typing, alike in the matrix and in the run. */
export function useRowTaking(parts: RowTakingParts) {
  const typing: Ref<{ pointId: string; first: string } | null> = ref(null)
  let keeping: Promise<unknown> | null = null
  /** the row that was typed and sent last, while it is on the screen */
  let sent: { pointId: string } | null = null
  /** what was pointed out at which row since a row was last taken: a second press takes it all the same */
  const warned = new Set<string>()

  /** @returns true = said for the first time: the row waits for a second press */
  function warns(pointId: string, what: string, words: string): boolean {
    const key = `${pointId} ${what}`
    if (warned.has(key)) return false
    warned.add(key)
    parts.say(words, 'problem')
    return true
  }

  /**
   * @param typed what stands beside the live readings of the row, e.g. the menu value they were taken with
   * @returns whether something was kept
   */
  async function take(
    stepId: string | null,
    pointId: string,
    typed: readonly TypedValue[] = [],
  ): Promise<boolean> {
    const point = pointOf(parts.sheet(), stepId, pointId)
    const obstacle = rowObstacle(point, parts.rfSeen())
    if (obstacle && warns(pointId, obstacle, t(OBSTACLE_WORDS[obstacle]))) return false
    const elsewhere = otherChannel(parts.sheet(), point, parts.liveOf)
    if (
      elsewhere &&
      warns(
        pointId,
        'channel',
        t('align.theCounterReadsChannelThisRow', {
          frequencyHz: showPlain(elsewhere.frequencyHz, 'carrierHz'),
          channel: channelName(planOf(parts.sheet()), elsewhere.channel),
          rowChannel: channelName(planOf(parts.sheet()), point.state.channel!),
        }),
      )
    )
      return false
    const live = liveReadings(point, parts.liveOf, uuid)
    const { readings, problems } = checkedReadings([
      ...live,
      ...typed.filter(t => !live.some(r => r.quantity === t.quantity)).map(e => readingOf(e, uuid())),
    ])
    if (readings.length === 0 && problems.length > 0) {
      parts.say(t('align.notTaken', { list: problems.join(' ') }), 'problem')
      return false
    }
    if (live.length === 0) {
      sayNoneLive(point)
      return false
    }
    // A second press on a row that is being kept is one too many.
    if (keeping || !(await store(stepId, point, readings))) return false
    const missing = point.wants.map(w => w.quantity).filter(q => !readings.some(r => r.quantity === q))
    const left = leftWords(readings.length, missing)
    sayKept(
      point,
      readings,
      problems.length > 0 ? t('align.partlyTaken', { left, list: problems.join(' ') }) : left,
      missing.length > 0,
    )
    return true
  }

  function leftWords(count: number, missing: readonly Quantity[]): string {
    if (missing.length === 0) return t('align.allTaken')
    const why = whyNoneLive(missing, parts.shown)
    return why === null
      ? t('align.takenToBeTyped', { taken: count, missing: missing.length })
      : t('align.takenMissing', { taken: count, missing: missing.length, why })
  }

  /** An instrument that pauses or sees no signal is not one that is missing. */
  function sayNoneLive(point: MeasurePoint) {
    const why = whyNoneLive(
      point.wants.map(w => w.quantity),
      parts.shown,
    )
    if (why !== null) return parts.say(t('align.notTakenTakeItAgainOr', { why }), 'problem')
    parts.say(t('align.noConnectedInstrumentSaid'), 'problem')
    typing.value = { pointId: point.id, first: '' }
  }

  async function takeTyped(
    stepId: string | null,
    pointId: string,
    entries: readonly TypedValue[],
  ): Promise<boolean> {
    const point = pointOf(parts.sheet(), stepId, pointId)
    const { readings, problems } = checkedReadings(entries.map(e => readingOf(e, uuid())))
    const row = typing.value
    if (problems.length > 0) {
      parts.say(t('align.notTaken', { list: problems.join(' ') }), 'problem')
      return false
    }
    // A second Enter on the same row is one too many.
    if (row !== null && row === sent) return false
    sent = row
    // Quick hands are at the next row already: it waits for its turn.
    while (keeping) await keeping
    if (!(await store(stepId, point, readings))) {
      sent = null
      return false
    }
    if (typing.value === row) typing.value = null
    sayKept(point, readings, t('align.typedReadingsSaved'), false)
    return true
  }

  /** A reading that cannot be true is challenged at once, and kept: the technician decides. */
  function sayKept(point: MeasurePoint, readings: readonly Reading[], what: string, partly: boolean) {
    const doubts = doubtsOf(
      parts.doubting(),
      point,
      rowConditions(parts.sheet(), point, parts.liveOf),
      readings,
    ).map(d => d.words)
    parts.say(
      [`${point.title}: ${what}.`, ...doubts].join(' '),
      partly || doubts.length > 0 ? 'problem' : 'ok',
    )
  }

  function store(stepId: string | null, point: MeasurePoint, readings: readonly Reading[]): Promise<boolean> {
    const kept = keep(stepId, point, readings).finally(() => (keeping = null))
    keeping = kept
    return kept
  }

  async function keep(
    stepId: string | null,
    point: MeasurePoint,
    readings: readonly Reading[],
  ): Promise<boolean> {
    try {
      const seen = rowConditions(parts.sheet(), point, parts.liveOf)
      // What was typed in this row describes it better than what happens to be live.
      const valueOf = (q: Quantity) => readings.find(r => r.quantity === q)?.value
      const conditions = {
        ...seen,
        supplyV: valueOf('supplyV') ?? seen.supplyV,
        onTimeS: valueOf('onTimeS') ?? seen.onTimeS,
      }
      const {
        id: _id,
        atMs: _at,
        ...event
      } = rowTaken(parts.phase, stepId, point, conditions, readings, '', 0)
      await parts.append(event)
      warned.clear()
      return true
    } catch (error) {
      parts.say(notStoredWords(error), 'problem')
      return false
    }
  }

  return { typing, take, takeTyped }
}
