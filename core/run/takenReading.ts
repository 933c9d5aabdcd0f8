import type { Reading } from '../quantity'
import type { RowTaken } from './jobEvent'
import type { Turn } from './staleBy'

/** A reading in its row, with what has happened to it since. */
export interface TakenReading {
  readonly reading: Reading
  readonly row: RowTaken
  readonly order: number
  readonly struck: string | null
  /** turns after it that change what it measured; empty = current */
  readonly staleBy: readonly Turn[]
  /** turns before it that change what it measured, other than of front-panel controls */
  readonly turnedBefore: readonly Turn[]
  /** something had been turned (and logged), replaced or treated before, whether it changes this or not */
  readonly isAfterWork: boolean
}
