import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { MeasurandState, Requirement, StepState } from '#core/run'
import StepCentre from './StepCentre.vue'

const STEP = { step: { id: 's1', criterion: null }, criterion: null, wants: [] } as unknown as StepState
const want = (requirement: Partial<Requirement> = {}) =>
  ({
    want: { quantity: 'powerW', target: null },
    requirement: { window: { low: 3.6, high: 4, aim: 3.8 }, limit: null, nominalHz: null, ...requirement },
    latest: null,
    judgement: null,
  }) as unknown as MeasurandState
const reads = (value: number, freshness = 'live') => ({
  entry: {
    quantity: 'powerW',
    status: 'ok',
    value,
    standardUncertainty: 0.02,
    instrument: 'wattmeter',
    receivedAtMs: 0,
  },
  freshness,
})
const centre = (props: object = {}) =>
  mount(StepCentre, {
    props: {
      state: STEP,
      want: want(),
      live: reads(3.8),
      accuracy: { ofReading: 0.01 },
      asFound: null,
      hold: null,
      trend: [],
      nowMs: 0,
      readable: true,
      ...props,
    } as never,
  })
const verdict = (of: ReturnType<typeof centre>) => of.get('[data-testid="verdict"]').text()

describe('StepCentre', () => {
  it('says once that a reading is within, and the tolerance', () => {
    expect(verdict(centre())).toMatch(/^within\s*tolerance, 3\.6 W to 4 W/)
  })
  it('says which way and how far from the target', () => {
    expect(verdict(centre({ live: reads(3) }))).toMatch(/^below\s*0\.8 W below the target of 3\.8 W/)
  })
  it('judges nothing while the set is not keyed', () => {
    expect(verdict(centre({ readable: false }))).toMatch(/not keyed/i)
    expect(centre({ readable: false }).find('.state-mark').exists()).toBe(false)
  })
  it('judges nothing that is old: the tolerance alone stands there', () => {
    expect(verdict(centre({ live: reads(3.8, 'stale') }))).toMatch(/^tolerance 3\.6 W to 4 W$/)
  })
  it('shows no verdict where nothing is asked', () => {
    expect(verdict(centre({ want: want({ window: null }) }))).toBe('')
  })
  it('warns before keying when the instrument is too coarse, and only then', () => {
    expect(
      centre({ accuracy: { ofReading: 0.2 } })
        .get('.warning')
        .text(),
    ).toMatch(/cannot resolve/)
    expect(centre().find('.warning').exists()).toBe(false)
  })
})
