import {
  challengedInRow,
  challengedReadings,
  type ChallengedReading,
  type DoubtContext,
} from '#core/diagnose'
import type { Reading } from '#core/quantity'
import type { ChallengeKept, History, RowConditions, RowState } from '#core/run'
import type { RuleSet } from '#core/rules'
import type { MeasurePoint, ModelSheet } from '#core/sheet'
import { challengeWords } from '#shared/words/challengeWords'

export type { DoubtContext }

/** Why a reading cannot be true, and why it was kept all the same. */
export interface Doubt {
  readonly rule: string
  readonly words: string
  readonly readingId: string
  readonly keptBecause: string | null
}

/** What an open job and the instruments of the bench know, as the screens have them. */
interface OpenJob {
  readonly sheet: ModelSheet
  readonly rules: RuleSet
  readonly run: { readonly history: History }
  readonly keptChallenges: readonly ChallengeKept[]
}

/** The open job by the sheet that it is measured by now. */
export const asItIs = (store: { readonly [K in keyof OpenJob]: OpenJob[K] | null }) => (): OpenJob => ({
  sheet: store.sheet!,
  rules: store.rules!,
  run: store.run!,
  keptChallenges: store.keptChallenges ?? [],
})

/** The context of the open job. */
export function doubting(
  job: () => OpenJob,
  { meterOf }: Pick<DoubtContext, 'meterOf'>,
  rows: () => readonly RowState[],
): () => DoubtContext {
  return () => {
    const { sheet, rules, run, keptChallenges } = job()
    return { sheet, rules, rows: rows(), history: run.history, kept: keptChallenges, meterOf }
  }
}

/** What is doubtful about a row that is about to be kept, or was. */
export function doubtsOf(
  context: DoubtContext,
  point: MeasurePoint,
  conditions: RowConditions,
  readings: readonly Reading[],
): Doubt[] {
  return challengedReadings(context, point, conditions, readings).map(inWords)
}

/** The same for a row of the matrix, from the readings that count in it. */
export function rowDoubts(context: DoubtContext, row: RowState): Doubt[] {
  return challengedInRow(context, row).map(inWords)
}

function inWords({ challenge, readingId, keptBecause }: ChallengedReading): Doubt {
  return { rule: challenge.rule, words: challengeWords(challenge), readingId, keptBecause }
}
