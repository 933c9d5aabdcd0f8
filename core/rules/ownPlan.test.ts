import { describe, expect, it } from 'vitest'
import { channelHz, channelName, receivedHz } from './channelPlan'
import { CHANNEL_PLANS, FORTY_GAPS_HZ, channelPlan, coversChannel, coversPlan } from './channelPlans'
import {
  MAX_CHANNELS_OF_A_SET,
  NEW_BAND,
  OWN_PLAN,
  bandChannelsHz,
  bandsLike,
  planOf,
  rasterOver,
  type PlanBand,
} from './ownPlan'
import { limitFor } from './ruleSet'
import { ruleSet } from './ruleSets'

const raster = (firstHz: number, lastHz: number, stepHz: number, leftOutHz: number[] = []): PlanBand => ({
  ...NEW_BAND,
  channels: { kind: 'raster', firstHz, lastHz, stepHz, leftOutHz },
})
const listed = (name: string, ...frequenciesHz: number[]): PlanBand => ({
  ...NEW_BAND,
  name,
  channels: { kind: 'list', frequenciesHz },
})
const own = (...bands: PlanBand[]) => planOf({ planId: OWN_PLAN, bands })

describe('channels of a band', () => {
  // 47 CFR 95.963 (from memory): from 26.965 to 27.405 MHz without its five gaps are forty channels.
  const GAPS = [26_995_000, 27_045_000, 27_095_000, 27_145_000, 27_195_000]
  it('are a raster without its gaps', () => {
    expect(bandChannelsHz(raster(26_965_000, 27_405_000, 10_000, GAPS)).toSorted()).toEqual(
      channelPlan('forty').channelsHz.toSorted(),
    )
    expect(bandChannelsHz(raster(28_000_000, 29_700_000, 10_000))).toHaveLength(171)
  })
  it.each([
    ['a step that does not fit ends below the last', raster(145_000_000, 145_030_000, 12_500), 3],
    ['a third of a hertz adds up', raster(118_000_000, 118_025_000, 25_000 / 3), 4],
    ['no step, no channel', raster(28_000_000, 29_000_000, 0), 0],
    ['upside down, no channel', raster(29_000_000, 28_000_000, 10_000), 0],
    ['a step of one hertz ends one beyond what a set can have', raster(1, 1e9, 1), MAX_CHANNELS_OF_A_SET + 1],
  ])('%s', (_, band, count) => {
    expect(bandChannelsHz(band)).toHaveLength(count)
  })
})

describe('a list as a raster', () => {
  const again = (...hz: number[]) => bandChannelsHz({ ...NEW_BAND, channels: rasterOver(hz) })
  it('holds the same frequencies, and leaves out what lies between them', () => {
    // The forty channels in rising order: their five gaps, 47 CFR 95.963 (from memory).
    const forty = channelPlan('forty').channelsHz
    expect(rasterOver(forty)).toMatchObject({ stepHz: 10_000, leftOutHz: FORTY_GAPS_HZ })
    expect(again(...forty)).toEqual(forty.toSorted())
    expect(again(7_150_000, 7_060_000, 7_100_000)).toEqual([7_060_000, 7_100_000, 7_150_000])
    expect(again(10_118_000)).toEqual([10_118_000])
    expect(again()).toEqual([0])
  })
  it('takes the usual step where no raster of a set meets them all', () => {
    expect(rasterOver([27_000_000, 27_000_001, 27_405_000])).toMatchObject({ stepHz: 10_000, leftOutHz: [] })
  })
})

describe('a plan of one’s own', () => {
  const bands = [
    listed('40 m', 7_150_000),
    { ...raster(27_601_250, 27_991_250, 10_000), name: 'FM-UK', modes: ['FM'] as const },
    { ...listed('repeater', 29_520_000, 29_540_000), receiveOffsetHz: 100_000 },
  ]
  const plan = own(...bands)
  it('numbers its channels through all bands and calls them as the set does', () => {
    expect([1, 21, 42].map(c => [channelHz(plan, c), channelName(plan, c)])).toEqual([
      [7_150_000, '40 m'],
      [27_791_250, 'FM-UK 20'],
      [29_520_000, 'repeater 1'],
    ])
    expect(channelName(own(raster(28_000_000, 29_700_000, 10_000)), 41)).toBe('41')
  })
  it('is received where it is sent, but for a split', () => {
    expect([21, 42].map(c => receivedHz(plan, c) - channelHz(plan, c))).toEqual([0, 100_000])
    expect(receivedHz(channelPlan('forty'), 19)).toBe(27_185_000)
    expect(() => receivedHz(channelPlan('forty'), 41)).toThrow(
      expect.objectContaining({ code: 'unknown-channel' }),
    )
  })
  it('refuses a channel that it has not, and has none without bands', () => {
    expect(() => channelHz(plan, 44)).toThrow(expect.objectContaining({ code: 'unknown-channel' }))
    expect(planOf({ planId: OWN_PLAN }).channelsHz).toEqual([])
  })
  it.each(CHANNEL_PLANS.map(p => p.id))('begins with the channels of %s', id => {
    const shipped = channelPlan(id)
    const again = own(...bandsLike(shipped))
    expect(again.channelsHz).toEqual(shipped.channelsHz)
    expect(again.names).toEqual(shipped.names)
  })
})

describe('rules about channels', () => {
  const twoPlans = own(
    { ...raster(26_965_000, 26_985_000, 10_000), name: 'home' },
    { ...raster(27_601_250, 27_991_250, 10_000), name: 'FM-UK' },
  )
  it('cover a set that has one of them, under whatever number', () => {
    const covered = (plan: ReturnType<typeof own>) =>
      ['forty', 'uk27', null].map(rules => coversPlan(rules, plan))
    expect(covered(twoPlans)).toEqual([true, true, true])
    expect(covered(own(listed('40 m', 7_150_000)))).toEqual([false, false, true])
    expect([coversChannel('forty', 26_965_000), coversChannel('forty', 27_791_250)]).toEqual([true, false])
  })
  const powerLimit = (id: string, centreHz: number | null) =>
    limitFor(ruleSet(id), 'powerW', { centreHz, lowPower: false, mode: 'FM' })
  it('judge no other channel: neither is FM-UK within R-EU, nor outside of it', () => {
    expect(powerLimit('R-EU', channelHz(twoPlans, 1))?.high).toBe(4)
    expect(powerLimit('R-EU', channelHz(twoPlans, 23))).toBeNull()
    expect(powerLimit('R-UK27', channelHz(twoPlans, 23))?.high).toBe(4)
    expect(powerLimit('R-UK27', channelHz(twoPlans, 1))).toBeNull()
    expect(powerLimit('R-EU', null)?.high).toBe(4)
  })
  const reference = (nominal?: number) =>
    limitFor(ruleSet('R-SHOP'), 'referenceHz', {
      centreHz: null,
      lowPower: false,
      mode: 'FM',
      ...(nominal ? { nominal } : {}),
    })
  it('hold a reference against what its sheet calls for, whatever crystal that is', () => {
    // 2 ppm of 14.010 MHz by hand: 28.02 Hz.
    expect(reference(14_010_000)?.high).toBeCloseTo(14_010_028.02, 2)
    expect(reference(10_240_000)?.low).toBeCloseTo(10_239_979.52, 2)
    expect(reference()).toBeNull()
  })
})
