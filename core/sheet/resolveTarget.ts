import type { Quantity } from '../quantity'
import { channelHz, type ChannelPlan, type Window } from '../rules'
import type { TargetSpec } from './modelSheet'

/** Window and the nominal that an error is told against (null: the value itself is shown). */
export interface ResolvedTarget {
  readonly window: Window
  readonly nominalHz: number | null
}

/**
 * The latest current value of a quantity at a step (and, if given, at one of its points), or undefined when
 * there is none yet.
 */
export type ReadingOf = (stepId: string, quantity: Quantity, pointId?: string) => number | undefined

/**
 * Makes a sheet's target absolute.
 *
 * @param spec as the sheet writes it
 * @param plan channels of the sheet
 * @param channel of the point, or null
 * @param readingOf for targets that follow another reading
 * @returns null when the reading it follows is not there yet
 * @throws {CoreError} unknown-channel (a channel error without a channel of the plan)
 */
export function resolveTarget(
  spec: TargetSpec,
  plan: ChannelPlan,
  channel: number | null,
  readingOf: ReadingOf,
): ResolvedTarget | null {
  switch (spec.kind) {
    case 'window':
      return { window: spec.window, nominalHz: null }
    case 'channel-error':
      return about(channelHz(plan, channel ?? Number.NaN) + (spec.offsetHz ?? 0), spec)
    case 'nominal-error':
      return about(spec.nominalHz, spec)
    case 'like-reading': {
      const value = readingOf(spec.stepId, spec.quantity)
      if (value === undefined) return null
      return {
        window: { low: value * spec.lowRatio, high: value * spec.highRatio, aim: value },
        nominalHz: null,
      }
    }
    case 'above-reading': {
      const value = readingOf(spec.stepId, spec.quantity, spec.pointId)
      if (value === undefined) return null
      return {
        window: { low: value + spec.low, high: value + spec.high, aim: value + spec.aim },
        nominalHz: null,
      }
    }
  }
}

function about(nominalHz: number, spec: { lowHz: number; highHz: number; aimHz: number }): ResolvedTarget {
  return {
    window: { low: nominalHz + spec.lowHz, high: nominalHz + spec.highHz, aim: nominalHz + spec.aimHz },
    nominalHz,
  }
}
