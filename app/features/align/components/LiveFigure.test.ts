import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Requirement } from '#core/run'
import type { ShownEntry } from '~/features/instruments/logic/noReadingWords'
import LiveFigure from './LiveFigure.vue'

const POWER: Requirement = { window: { low: 3.6, high: 4, aim: 3.8 }, limit: null, nominalHz: null }
const live = (part: object = {}, freshness = 'live') =>
  ({
    entry: {
      quantity: 'powerW',
      status: 'ok',
      value: 3.84,
      standardUncertainty: 0.06,
      instrument: 'wattmeter',
      receivedAtMs: new Date('2026-11-30T13:05:09').getTime(),
      ...part,
    },
    freshness,
  }) as ShownEntry
const figure = (props: object) =>
  mount(LiveFigure, {
    props: { quantity: 'powerW', requirement: POWER, live: null, hold: null, typedOnly: false, ...props },
  })
const big = (of: ReturnType<typeof figure>) => of.get('[data-testid="big"]').text()

describe('LiveFigure', () => {
  it('shows the digits that the instrument justifies, with its bound', () => {
    const shown = figure({ live: live() })
    expect(big(shown)).toBe('3.84')
    expect(shown.text()).toContain('\u00b10.10 W')
  })
  it('shows a frequency as its error, with the whole number and ppm beside it', () => {
    const shown = figure({
      quantity: 'carrierHz',
      requirement: { ...POWER, nominalHz: 27_185_000 },
      live: live({ quantity: 'carrierHz', value: 27_185_272, standardUncertainty: 1.5 }),
    })
    expect(big(shown)).toBe('+272')
    expect(shown.text()).toMatch(/27\.185.272\sMHz/)
    expect(shown.text()).toContain('+10.0')
  })
  it('strikes an old value through and says since when', () => {
    const shown = figure({ live: live({}, 'stale') })
    expect(shown.classes()).toContain('stale')
    expect(shown.get('.words').text()).toMatch(/wattmeter.*13:05/)
  })
  it('shows no number where there is none', () => {
    expect(big(figure({ live: live({ status: 'no-signal', value: null }) }))).toBe('\u2013')
    const typed = figure({ typedOnly: true })
    expect([big(typed), typed.get('.words').text().length > 0]).toEqual(['\u2013', true])
  })
})
