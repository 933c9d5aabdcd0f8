import { message } from '../message'
import { CoreError } from '../errors'
import type { Mode } from './mode'

/** A channel plan: numbered centre frequencies [Hz]. */
export interface ChannelPlan {
  readonly id: string
  readonly name: string
  readonly source: string
  /** centre frequency of channel n at index n - 1 [Hz] */
  readonly channelsHz: readonly number[]
  /** what channel n is called on the set, at index n - 1; undefined = by its number */
  readonly names?: readonly string[]
  /** where channel n is received, at index n - 1 [Hz]; undefined = where it is sent */
  readonly receiveHz?: readonly number[]
  /** modes of channel n, at index n - 1; undefined, or an empty list = any */
  readonly modes?: readonly (readonly Mode[])[]
}

/**
 * @param channel from 1
 * @returns centre frequency [Hz]
 * @throws {CoreError} unknown-channel
 * @example channelHz(channelPlan('uk27'), 20) // => 27791250
 */
export function channelHz(plan: ChannelPlan, channel: number): number {
  const hz = Number.isInteger(channel) ? plan.channelsHz[channel - 1] : undefined
  if (hz === undefined)
    throw new CoreError(
      'unknown-channel',
      message('error.channelOutside', { channel, name: { term: plan.name }, count: plan.channelsHz.length }),
    )
  return hz
}

/**
 * Where a channel is received [Hz].
 * @throws {CoreError} unknown-channel
 */
export function receivedHz(plan: ChannelPlan, channel: number): number {
  return plan.receiveHz?.[channel - 1] ?? channelHz(plan, channel)
}

/** A channel as it is called on the set: "19", "D 19", "20 m". */
export function channelName(plan: ChannelPlan, channel: number): string {
  return plan.names?.[channel - 1] ?? String(channel)
}

/** @returns the channel whose centre is nearest and the distance to it [Hz] */
export function nearestChannel(
  { channelsHz }: ChannelPlan,
  frequencyHz: number,
): { channel: number; errorHz: number } {
  let best = 0
  channelsHz.forEach((hz, i) => {
    if (Math.abs(frequencyHz - hz) < Math.abs(frequencyHz - channelsHz[best]!)) best = i
  })
  return { channel: best + 1, errorHz: frequencyHz - channelsHz[best]! }
}
