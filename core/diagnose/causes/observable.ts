import type { Quantity } from '../../quantity'
import type { Mode } from '../../rules'
import type { RowState } from '../../run'
import type { ModelSheet } from '../../sheet'

/**
 * Part of the set in which a symptom shows. Faults of different parts are weighed apart: an old set has
 * several.
 */
export const DOMAINS = ['supply', 'power', 'frequency', 'modulation', 'receiver'] as const
export type Domain = (typeof DOMAINS)[number]

/** A probability for every outcome, adding up to one: a reading near an edge belongs partly to both sides. */
export type OutcomeProbabilities = Readonly<Record<string, number>>

/** One reading that an observation used, for whoever wants to see the numbers. */
export interface ReadingUsed {
  readonly rowTitle: string
  readonly quantity: Quantity
  readonly value: number
  readonly standardUncertainty: number | null
  readonly nominalHz: number | null
}

export interface Observation {
  readonly soft: OutcomeProbabilities
  readonly used: readonly ReadingUsed[]
}

/** A test made by hand, with the answer the technician gave. */
export interface TestMade {
  readonly observableId: string
  readonly outcome: string
}

/** A question about the set with a closed set of answers. */
export interface Observable {
  readonly id: string
  readonly domain: Domain
  readonly question: string
  /** what each outcome says, in words */
  readonly outcomes: Readonly<Record<string, string>>
  /** the outcome of a healthy set */
  readonly healthy: string
  /** null = the main mode of the set */
  readonly modes: readonly Mode[] | null
  /** true: rows outside the main channels and the standard state count too */
  readonly everywhere?: boolean
  readonly source:
    | {
        readonly kind: 'readings'
        readonly quantities: readonly Quantity[]
        /** false = this sheet has no rows that could answer it; undefined = its quantities decide */
        readonly inSheet?: (sheet: ModelSheet) => boolean
        readonly see: (rows: readonly RowState[], sheet: ModelSheet) => Observation | null
      }
    | { readonly kind: 'test'; readonly how: string; readonly caution: string | null }
}

/** What is known about an observable on this job. */
export interface Evidence {
  readonly observable: Observable
  readonly soft: OutcomeProbabilities
  readonly used: readonly ReadingUsed[]
  readonly byHand: boolean
}
