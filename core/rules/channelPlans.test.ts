import { describe, expect, it } from 'vitest'
import { channelHz, channelName, nearestChannel } from './channelPlan'
import { CHANNEL_PLANS, FORTY_GAPS_HZ, SIX_BANDS, bandChannel, channelPlan } from './channelPlans'

describe('six bands', () => {
  it('shifts the forty channels by 450 kHz: channel 1 of each band', () => {
    expect(SIX_BANDS.map(b => channelHz(channelPlan('six-band'), bandChannel(b, 1)) / 1e6)).toEqual([
      25.615, 26.065, 26.515, 26.965, 27.415, 27.865,
    ])
    expect(channelHz(channelPlan('six-band'), bandChannel('D', 19))).toBe(channelHz(channelPlan('forty'), 19))
  })
  it('calls channels as the set does', () => {
    expect([
      channelName(channelPlan('six-band'), bandChannel('D', 19)),
      channelName(channelPlan('forty'), 19),
      channelName(channelPlan('hf-five'), 3),
    ]).toEqual(['D 19', '19', '20 m'])
  })
})

describe('forty-channel plan', () => {
  // Source: 47 CFR 95.963 / CEPT plan, written out from memory: check the current text.
  const MHZ = [
    26.965, 26.975, 26.985, 27.005, 27.015, 27.025, 27.035, 27.055, 27.065, 27.075, 27.085, 27.105, 27.115,
    27.125, 27.135, 27.155, 27.165, 27.175, 27.185, 27.205, 27.215, 27.225, 27.255, 27.235, 27.245, 27.265,
    27.275, 27.285, 27.295, 27.305, 27.315, 27.325, 27.335, 27.345, 27.355, 27.365, 27.375, 27.385, 27.395,
    27.405,
  ]
  it.each(MHZ.map((mhz, i) => [i + 1, mhz]))('channel %d is %d MHz', (channel, mhz) => {
    expect(channelHz(channelPlan('forty'), channel)).toBe(Math.round(mhz * 1e6))
  })
  it('has forty distinct channels whose sum is 1087.850 MHz, and leaves its five gaps free', () => {
    const { channelsHz } = CHANNEL_PLANS.find(p => p.id === 'forty')!
    expect(new Set(channelsHz).size).toBe(40)
    expect(channelsHz.reduce((a, b) => a + b)).toBe(1_087_850_000)
    expect(channelsHz.some(hz => FORTY_GAPS_HZ.includes(hz))).toBe(false)
  })
  it('has 24 and 25 below 23', () => {
    expect([23, 24, 25].map(c => channelHz(channelPlan('forty'), c))).toEqual([
      27_255_000, 27_235_000, 27_245_000,
    ])
  })
})

describe('UK 27 MHz plan', () => {
  // Source: MPT 1320 (from memory: check the current text).
  it.each([
    [1, 27_601_250],
    [20, 27_791_250],
    [40, 27_991_250],
  ])('channel %d is %d Hz', (channel, hz) => {
    expect(channelHz(channelPlan('uk27'), channel)).toBe(hz)
  })
  it('differs from the other plan by 586.25 kHz on channel 20', () => {
    expect(channelHz(channelPlan('uk27'), 20) - channelHz(channelPlan('forty'), 20)).toBe(586_250)
  })
})

describe('looking up', () => {
  it.each([0, 41, -1, 1.5, Number.NaN])('refuses channel %d by name', channel => {
    expect(() => channelHz(channelPlan('uk27'), channel)).toThrow(
      expect.objectContaining({ code: 'unknown-channel' }),
    )
  })
  it('refuses an unknown plan', () => {
    expect(() => channelHz(channelPlan('lunar'), 1)).toThrow(
      expect.objectContaining({ code: 'unknown-plan' }),
    )
  })
  it('finds the nearest channel and the error', () => {
    expect(nearestChannel(channelPlan('uk27'), 27_791_182)).toEqual({ channel: 20, errorHz: -68 })
    expect(nearestChannel(channelPlan('forty'), 27_243_000)).toEqual({ channel: 25, errorHz: -2000 })
  })
})
