import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { readDecimalSignFrom } from '#core/quantity'
import type { GaugeValues } from '#shared/words/gaugeScale'
import ForkGauge from './ForkGauge.vue'

const VALUES: GaugeValues = {
  low: 3.6,
  high: 4,
  aim: 3.8,
  asFound: 2.1,
  now: 3.84,
  bound: 0.12,
  signed: false,
}
const gauge = (part: Partial<GaugeValues> = {}, rest = {}) =>
  mount(ForkGauge, { props: { values: { ...VALUES, ...part }, unit: 'W', decimals: 2, ...rest } })

afterEach(() => readDecimalSignFrom(() => '.'))

describe('ForkGauge', () => {
  it('tells a reader of the screen where the reading stands', () => {
    expect(gauge().attributes('aria-label')).toMatch(/W/)
    expect(gauge().attributes('aria-label')).toContain('3.84')
  })
  it('draws the reading inside its window, right of what was found', () => {
    const drawn = gauge()
    const window = drawn.get('rect.window')
    const [left, width] = ['x', 'width'].map(a => Number(window.attributes(a)))
    const now = Number(drawn.get('circle.present').attributes('cx'))
    expect(now).toBeGreaterThan(left!)
    expect(now).toBeLessThan(left! + width!)
    expect(Number(drawn.get('circle:not(.present)').attributes('cx'))).toBeLessThan(left!)
  })
  it('shows nothing as read where nothing was', () => {
    const drawn = gauge({ now: null, bound: null })
    expect(drawn.find('circle.present').exists()).toBe(false)
    expect(drawn.attributes('aria-label')).toContain('no reading')
  })
  it('has no window where nothing is asked, and nothing at all where nothing is known', () => {
    expect(gauge({ low: null, high: null }).find('rect.window').exists()).toBe(false)
    const nothing = { low: null, high: null, aim: null, asFound: null, now: null, bound: null }
    expect(gauge(nothing).find('svg').exists()).toBe(false)
  })
  it('signs an error, and writes it as its reader does', () => {
    readDecimalSignFrom(() => ',')
    const error = { low: -300, high: 300, aim: 0, asFound: null, now: -12.5, bound: 3, signed: true }
    expect(gauge(error, { unit: 'Hz', decimals: 1 }).text()).toContain('\u221212,5')
  })
})
