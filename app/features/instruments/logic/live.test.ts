import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { OSMUND_27F } from '#core/sheet/osmund27f/sheet'
import { pointOf } from '#core/sheet'
import { BARE_SETUP } from '#core/instrument'
import type { LiveLink, LiveReading } from '#shared/live'
import { gaugeScale } from '#shared/words/gaugeScale'
import { EMPTY_BOOK, bestEntry, withHello, withLink, withPoll, type LiveEntry } from './liveBook'
import { checkedReadings, liveReadings, otherChannel, rowConditions } from '~/features/align/logic/takeRow'

const link = (id: string, state: LiveLink['state']): LiveLink => ({
  instrumentId: id,
  instrument: `Meter ${id}`,
  profileId: 'scpi-power-meter',
  setup: BARE_SETUP,
  state,
  sinceMs: 0,
  detail: null,
  identity: null,
})
const power = (value: number | null, status: LiveReading['status'] = 'ok'): LiveReading => ({
  quantity: 'powerW',
  status,
  value,
  standardUncertainty: value === null ? null : 0.05,
})
const poll = (id: string, reading: LiveReading, receivedAtMs: number) => ({
  instrumentId: id,
  instrument: `Meter ${id}`,
  readings: [reading],
  receivedAtMs,
})

describe('live book', () => {
  const book = withPoll(
    withHello(EMPTY_BOOK, { links: [link('a', 'live'), link('b', 'live')] }),
    poll('a', power(3.9), 1000),
  )
  it('shows the latest', () => {
    expect(bestEntry(book, 'powerW', 1100)).toMatchObject({
      freshness: 'live',
      entry: { value: 3.9, instrument: 'Meter a' },
    })
    expect(bestEntry(book, 'carrierHz', 1100)).toBeNull()
  })
  it('never shows an old reading as live: by age, or because the link says so', () => {
    expect(bestEntry(book, 'powerW', 2600)!.freshness).toBe('stale')
    expect(bestEntry(withLink(book, link('a', 'silent')), 'powerW', 1100)!.freshness).toBe('stale')
  })
  it('prefers a live instrument with a value to any other', () => {
    const two = withPoll(book, poll('b', power(null, 'no-signal'), 1050))
    expect(bestEntry(two, 'powerW', 1100)!.entry.instrumentId).toBe('a')
    expect(bestEntry(withLink(two, link('a', 'silent')), 'powerW', 1100)!.entry.instrumentId).toBe('b')
  })
  it('forgets an instrument that is no longer connected', () => {
    expect(bestEntry(withHello(book, { links: [link('b', 'live')] }), 'powerW', 1100)).toBeNull()
  })
})

describe('taking a row', () => {
  const entry = (
    quantity: LiveEntry['quantity'],
    value: number | null,
    status: LiveEntry['status'] = 'ok',
  ): LiveEntry => ({
    quantity,
    value,
    status,
    standardUncertainty: 0.1,
    instrumentId: 'a',
    instrument: 'Meter',
    receivedAtMs: 0,
  })
  const point = pointOf(OSMUND_27F, null, 'high-20')
  const live = (entries: LiveEntry[]) => (q: string) => entries.find(e => e.quantity === q) ?? null
  let n = 0
  const newId = () => `id-${++n}`
  it('takes what is live and leaves the rest for typing', () => {
    const readings = liveReadings(
      point,
      live([entry('carrierHz', 27_791_182), entry('powerW', 2.8), entry('supplyA', null, 'garbled')]),
      newId,
    )
    expect(readings.map(r => [r.quantity, r.value, r.source, r.instrument])).toEqual([
      ['carrierHz', 27_791_182, 'instrument', 'Meter'],
      ['powerW', 2.8, 'instrument', 'Meter'],
    ])
    expect(new Set(readings.map(r => r.id)).size).toBe(2)
  })
  it('notices another channel than the row asks for', () => {
    expect(otherChannel(OSMUND_27F, point, live([entry('carrierHz', 27_991_180)]))).toEqual({
      channel: 40,
      frequencyHz: 27_991_180,
    })
    expect(otherChannel(OSMUND_27F, point, live([entry('carrierHz', 27_791_182)]))).toBeNull()
    expect(otherChannel(OSMUND_27F, point, () => null)).toBeNull()
    expect(
      otherChannel(OSMUND_27F, pointOf(OSMUND_27F, null, 'receiver'), live([entry('carrierHz', 27_991_180)])),
    ).toBeNull()
  })
  it('keeps the conditions', () => {
    expect(rowConditions(OSMUND_27F, point, live([entry('supplyV', 13.8), entry('onTimeS', 1500)]))).toEqual({
      mode: 'FM',
      channel: 20,
      lowPower: false,
      toneHz: null,
      toneV: null,
      inputV: null,
      coverage: 'standard',
      setting: '',
      load: OSMUND_27F.load,
      supplyV: 13.8,
      onTimeS: 1500,
    })
    expect(rowConditions(OSMUND_27F, point, () => null)).toMatchObject({ supplyV: null, onTimeS: null })
  })
  it('a value outside the range is left out alone, one at the noise floor becomes a bound', () => {
    const reading = (quantity: LiveEntry['quantity'], value: number) => ({
      id: quantity,
      quantity,
      value,
      standardUncertainty: 1,
      source: 'instrument' as const,
      instrument: 'Meter',
    })
    const { readings, problems } = checkedReadings([
      reading('harmonicDbc', -155.4),
      reading('powerW', -3),
      reading('supplyA', 1),
    ])
    expect(readings.map(r => [r.quantity, r.value, r.bound])).toEqual([
      ['harmonicDbc', -150, 'at-most'],
      ['supplyA', 1, undefined],
    ])
    expect(problems).toHaveLength(1)
  })
})

describe('gauge scale', () => {
  const values = (now: number | null, asFound: number | null = null) => ({
    low: 0,
    high: 20,
    aim: 10,
    now,
    asFound,
    bound: 3,
    signed: true,
  })
  it('holds everything it has to show', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5000, max: 5000, noNaN: true }),
        fc.double({ min: -5000, max: 5000, noNaN: true }),
        (now, asFound) => {
          const scale = gaugeScale(values(now, asFound))!
          for (const v of [0, 20, now, asFound]) {
            expect(v).toBeGreaterThanOrEqual(scale.min)
            expect(v).toBeLessThanOrEqual(scale.max)
          }
        },
      ),
    )
  })
  it('stands still while the reading moves a little', () => {
    expect(gaugeScale(values(-68))).toEqual(gaugeScale(values(-60)))
  })
  it('shows no negative power, copes with one-sided windows and with nothing', () => {
    expect(
      gaugeScale({ low: 3.6, high: 4, aim: 3.8, now: 0.1, asFound: null, bound: 0.1, signed: false })!.min,
    ).toBe(0)
    expect(
      gaugeScale({ low: 1200, high: null, aim: null, now: 60, asFound: null, bound: null, signed: false }),
    ).not.toBeNull()
    expect(
      gaugeScale({ low: null, high: null, aim: null, now: null, asFound: null, bound: null, signed: false }),
    ).toBeNull()
  })
  it('has round ticks', () => {
    const ticks = (low: number, high: number, signed: boolean) =>
      gaugeScale({ low, high, aim: null, asFound: null, now: null, bound: null, signed })!.ticks
    expect(ticks(0, 20, true)).toEqual([-10, 0, 10, 20, 30])
    expect(ticks(3.6, 4, false)).toEqual([3.4, 3.6, 3.8, 4, 4.2])
  })
})
