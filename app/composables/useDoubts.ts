import type { RowState } from '../../core/run'
import type { DoubtContext } from '../logic/doubts'
import { useInstrumentsStore } from '../stores/instruments'
import { useJobStore } from '../stores/job'

/** What the rows of a phase are held against, from the stores. */
export function useDoubts(rows: () => readonly RowState[]): () => DoubtContext {
  const job = useJobStore()
  const instruments = useInstrumentsStore()
  return () => ({ sheet: job.sheet!, rules: job.rules!, rows: rows(), history: job.run!.history, kept: job.keptChallenges, meterOf: instruments.meterOf })
}
