import { message } from '../message'
import { CoreError } from '../errors'
import type { ChannelPlan } from './channelPlan'

const STEP_HZ = 10_000

/** f = 27.60125 MHz + 10 kHz (n - 1). */
const UK27: ChannelPlan = {
  id: 'uk27',
  name: 'UK 27 MHz FM, 40 channels',
  source: 'MPT 1320 (from memory: check the current text)',
  channelsHz: Array.from({ length: 40 }, (_, i) => 27_601_250 + i * STEP_HZ),
}

/** The five 10 kHz slots that the forty-channel plan leaves to radio control. */
export const FORTY_GAPS_HZ: readonly number[] = [26_995_000, 27_045_000, 27_095_000, 27_145_000, 27_195_000]

/**
 * Forty channels, five gaps; 23, 24 and 25 stand out of order because 24 and 25 filled holes below 23 later.
 */
const FORTY: ChannelPlan = {
  id: 'forty',
  name: 'US / CEPT, 40 channels',
  source: '47 CFR 95.963 / CEPT plan (from memory: check the current text)',
  channelsHz: fortyChannelsHz(),
}

function fortyChannelsHz(): number[] {
  const raster = Array.from({ length: 45 }, (_, i) => 26_965_000 + i * STEP_HZ).filter(
    hz => !FORTY_GAPS_HZ.includes(hz),
  )
  const [slot23, slot24, slot25] = [raster[22]!, raster[23]!, raster[24]!] // 27.235, 27.245, 27.255
  return [...raster.slice(0, 22), slot25, slot23, slot24, ...raster.slice(25)]
}

/**
 * Bands of a six-band multimode, 450 kHz apart; only D is a CB plan, the rest lies outside it in most
 * countries (common practice).
 */
export const SIX_BANDS = ['A', 'B', 'C', 'D', 'E', 'F'] as const
const BAND_STEP_HZ = 450_000

const SIX_BAND: ChannelPlan = {
  id: 'six-band',
  name: 'six bands of 40 channels, A to F',
  source: 'common practice',
  channelsHz: SIX_BANDS.flatMap((_, band) =>
    FORTY.channelsHz.map(hz => hz + (band - SIX_BANDS.indexOf('D')) * BAND_STEP_HZ),
  ),
  names: SIX_BANDS.flatMap(band => FORTY.channelsHz.map((_, i) => `${band} ${i + 1}`)),
}

/**
 * One tune-up point in each classic amateur band that a hybrid transceiver covers. Bands: ITU RR Article 5
 * (from memory).
 */
const HF_FIVE: ChannelPlan = {
  id: 'hf-five',
  name: 'amateur bands, one tune-up point each',
  source: 'points chosen inside the bands of ITU RR Article 5 (from memory)',
  channelsHz: [3_700_000, 7_100_000, 14_200_000, 21_200_000, 28_500_000],
  names: ['80 m', '40 m', '20 m', '15 m', '10 m'],
}

const CW_20: ChannelPlan = {
  id: 'cw-20m',
  name: '14.060 MHz CW',
  source: 'service sheet (invented set)',
  channelsHz: [14_060_000],
  names: ['20 m'],
}

export const CHANNEL_PLANS: readonly ChannelPlan[] = [UK27, FORTY, SIX_BAND, HF_FIVE, CW_20]

/** @throws {CoreError} unknown-plan */
export function channelPlan(planId: string): ChannelPlan {
  const plan = CHANNEL_PLANS.find(p => p.id === planId)
  if (!plan) throw new CoreError('unknown-plan', message('error.noPlan', { planId }))
  return plan
}

/**
 * Whether rules for one plan speak of a set: of any of its channels, by frequency. A multimode holds the
 * forty CB channels in band D, a plan of one's own may hold them under other numbers.
 * @param rulesPlanId null = rules for any channel
 */
export function coversPlan(rulesPlanId: string | null, { channelsHz }: ChannelPlan): boolean {
  if (rulesPlanId === null) return true
  const covered = channelPlan(rulesPlanId).channelsHz
  return channelsHz.some(hz => covered.includes(hz))
}

/** Whether rules for one plan speak of a frequency [Hz] that is the centre of a channel. */
export function coversChannel(rulesPlanId: string | null, centreHz: number): boolean {
  return rulesPlanId === null || channelPlan(rulesPlanId).channelsHz.includes(centreHz)
}

/** Channel of the six-band plan. @example bandChannel('D', 19) // => 139 */
export function bandChannel(band: (typeof SIX_BANDS)[number], channel: number): number {
  return SIX_BANDS.indexOf(band) * FORTY.channelsHz.length + channel
}
