import type { Mode } from '../../rules'
import type { AdjusterKind, AdjusterRole, KindPart } from '../../sheet'
import type { Domain } from './observable'

/**
 * What an observable shows under a cause: outcomes with their probability; what is left over is shared by the
 * others.
 */
export type Expectation = Readonly<Record<string, number>>

/** A fault or mis-setting, as data: how often it is met, what it shows, what cures it. */
export interface Cause {
  readonly id: string
  /** row of the fault catalogue that it comes from */
  readonly row: string
  readonly domain: Domain
  readonly title: string
  readonly remedy: string
  /** how often it is met against the others of its domain (common practice: the order of the catalogue) */
  readonly prior: number
  /** null = whatever the mode */
  readonly modes: readonly Mode[] | null
  /** only sets with an adjuster of this role can have it, of this kind where one is named */
  readonly needsRole?: AdjusterRole
  readonly needsKind?: AdjusterKind
  /** only sets whose sheet lists no adjuster of these roles can have it */
  readonly lacksRoles?: readonly AdjusterRole[]
  /** none after a warm-up that stands with the readings */
  readonly onlyCold?: boolean
  /** only kinds of set with this part can have it */
  readonly part?: KindPart
  /** by observable; a question of the same domain that is not named keeps its healthy answer */
  readonly shows: Readonly<Record<string, Expectation>>
}
