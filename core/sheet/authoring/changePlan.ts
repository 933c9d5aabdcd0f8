import { planOf, type ChannelPlan, type OfPlan } from '../../rules'
import type { MeasurePoint, ModelSheet } from '../modelSheet'

/**
 * The sheet with other channels. Rows stay on their frequency, whatever its number is now; where the
 * frequency is gone, on the channel of the same name (a band whose test frequency was moved). A row whose
 * channel is gone altogether is left beyond the plan, so that {@link checkSheet} names it: it never means
 * another channel without a word.
 */
export function changePlan(sheet: ModelSheet, to: OfPlan): ModelSheet {
  const { bands: _bands, ...rest } = sheet
  const at = renumbering(planOf(sheet), planOf(to))
  const points = (ps: readonly MeasurePoint[]) =>
    ps.map(p =>
      p.state.channel === null ? p : { ...p, state: { ...p.state, channel: at(p.state.channel) } },
    )
  const { fromChannel, toChannel } = sheet.main
  return {
    ...rest,
    ...to,
    main: { ...sheet.main, fromChannel: at(fromChannel), toChannel: at(toChannel) },
    matrix: points(sheet.matrix),
    procedure: sheet.procedure.map(s => ({ ...s, points: points(s.points) })),
  }
}

function renumbering(before: ChannelPlan, after: ChannelPlan): (channel: number) => number {
  const nameIn = (plan: ChannelPlan, index: number) => plan.names?.[index] ?? String(index + 1)
  const names = after.channelsHz.map((_, i) => nameIn(after, i))
  return channel => {
    const hz = before.channelsHz[channel - 1]
    const byFrequency = hz === undefined ? -1 : after.channelsHz.indexOf(hz)
    const index = byFrequency >= 0 ? byFrequency : names.indexOf(nameIn(before, channel - 1))
    return index >= 0 ? index + 1 : after.channelsHz.length + channel
  }
}
