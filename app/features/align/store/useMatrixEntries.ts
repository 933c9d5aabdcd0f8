import { computed, ref } from 'vue'
import { TAKEN_AGAIN, type RowState } from '#core/run'
import { t } from '#shared/i18n'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useLiveStore } from '~/features/instruments/store/live'
import { useJobStore } from '~/features/job/store/job'
import { doubting as doubtingOf, rowDoubts, type Doubt } from '../logic/doubts'
import type { TypedValue } from '../logic/typedText'
import { unreadableRows } from '../logic/unreadable'
import { useRowTaking } from '../logic/useRowTaking'

/** Rows of the matrix as found or as left: what is entered of them, and what is wrong with it. */
export function useMatrixEntries(
  phase: 'as-found' | 'as-left',
  say: (text: string, kind?: 'ok' | 'problem') => void,
) {
  const job = useJobStore()
  const live = useLiveStore()
  const instruments = useInstrumentsStore()
  const isFound = phase === 'as-found'
  const rows = computed(() => (isFound ? job.asFound : job.asLeft))
  const sheet = computed(() => (isFound ? job.foundSheet : job.sheet)!)
  const run = computed(() => (isFound ? job.foundRun : job.run)!)
  /** Read before the conversion, or not at all. */
  const isClosed = computed(() => isFound && job.isConverted)
  const doubting = doubtingOf(
    () => ({ sheet: sheet.value, rules: job.rules!, run: run.value, keptChallenges: job.keptChallenges }),
    instruments,
    () => rows.value,
  )
  const doubts = computed(() =>
    Object.fromEntries(rows.value.map(r => [r.point.id, rowDoubts(doubting(), r)])),
  )
  const { typing, take, takeTyped } = useRowTaking({
    sheet: () => sheet.value,
    phase,
    doubting,
    liveOf: live.liveOf,
    shown: live.shown,
    rfSeen: live.rfSeen,
    append: job.append,
    say,
  })
  const striking = ref<string | null>(null)
  const keeping = ref<Doubt | null>(null)

  /** Readings of a row that count now and are current: what is read once more replaces them. */
  const currentIds = (pointId: string) =>
    rows.value
      .find(r => r.point.id === pointId)
      ?.cells.flatMap(c => (c.latest && c.latest.staleBy.length === 0 ? [c.latest.reading.id] : [])) ?? []
  async function replacing(
    pointId: string,
    reason: string,
    taking: () => Promise<boolean>,
  ): Promise<boolean> {
    const before = currentIds(pointId)
    if (!(await taking())) return false
    const still = currentIds(pointId)
    for (const readingId of before.filter(id => !still.includes(id)))
      await job.append({ kind: 'reading-struck', readingId, reason })
    return true
  }
  async function takeRow(id: string): Promise<void> {
    if (isClosed.value) return say(t('align.readBeforeConversion', { model: sheet.value.model }), 'problem')
    await replacing(id, TAKEN_AGAIN, () => take(null, id))
  }
  const takeTypedRow = (id: string, values: TypedValue[]): Promise<boolean> =>
    replacing(id, t('align.misreadTypedAgain'), () => takeTyped(null, id, values))

  function strikeLast() {
    striking.value =
      run.value.history.readings.findLast(
        r => r.row.phase === phase && r.row.stepId === null && r.struck === null,
      )?.reading.id ?? null
  }
  async function strike(reason: string) {
    await job.append({ kind: 'reading-struck', readingId: striking.value!, reason })
    striking.value = null
    say(t('align.struckOutItStaysInThe'))
  }
  async function keep(reason: string) {
    const { readingId, rule } = keeping.value!
    await job.append({ kind: 'challenge-kept', readingId, rule, reason })
    keeping.value = null
    say(t('align.confirmedWithYourReasonInThe'))
  }
  /** An empty workshop reads everything by eye: only where instruments stand, some are missing. */
  const apart = computed(() =>
    (instruments.items ?? []).length === 0
      ? []
      : unreadableRows(rows.value, q => instruments.optionsFor(q).some(o => o.isHere)),
  )
  /** Words with which rows were left out, by row. */
  const leftOut = computed(
    () =>
      new Map(
        job.items.flatMap(i =>
          i.id.startsWith(`${phase}:`) && i.settled !== null
            ? [[i.id.slice(phase.length + 1), i.settled] as const]
            : [],
        ),
      ),
  )
  /** What cannot be read stands last, and not at all once it was left out with a reason. */
  const listed = computed(() => {
    const isListed = ({ point: { id } }: RowState) => !leftOut.value.has(id) || id === typing.value?.pointId
    return [...rows.value.filter(r => !apart.value.includes(r)), ...apart.value.filter(isListed)]
  })
  const leavingOut = ref<readonly string[]>([])
  async function leaveOut(text: string) {
    await job.append({ kind: 'items-settled', itemIds: leavingOut.value.map(id => `${phase}:${id}`), text })
    leavingOut.value = []
  }
  return {
    rows,
    apart,
    listed,
    leftOut,
    leavingOut,
    leaveOut,
    sheet,
    isClosed,
    doubts,
    typing,
    takeRow,
    takeTypedRow,
    striking,
    strikeLast,
    strike,
    keeping,
    keep,
  }
}
