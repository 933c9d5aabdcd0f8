import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { PeakLook, PeakedQuantity } from '#core/run'
import PeakCoach from './PeakCoach.vue'

const POWER = { quantity: 'powerW', seek: 'largest' } as PeakedQuantity
const coach = (props: object = {}) =>
  mount(PeakCoach, {
    props: {
      on: true,
      last: null,
      looks: 3,
      belowDb: null,
      best: 3.9,
      rising: 'up',
      peaked: POWER,
      choices: [POWER],
      value: 3.8,
      passes: 0,
      gainDb: null,
      limitDb: 0.1,
      ...props,
    } as never,
  })
const look = (word: PeakLook['word']) => ({ word }) as PeakLook

describe('PeakCoach', () => {
  it('says what the hand does, in words', () => {
    expect(
      coach({ last: look('go-on') })
        .get('.say')
        .text(),
    ).toBe('Same direction')
    expect(
      coach({ last: look('stop') })
        .get('.say')
        .text(),
    ).toMatch(/^Stop/)
    for (const word of ['wait', 'go-on', 'touch', 'turn-back', 'stop', 'flat', 'end'] as const)
      expect(coach({ last: look(word) }).text()).not.toMatch(/guide\./)
  })
  it('shows the peak as reached by more than colour', () => {
    expect(
      coach({ last: look('stop') })
        .get('.coach')
        .classes(),
    ).toContain('good')
    expect(
      coach({ last: look('flat') })
        .get('.coach')
        .classes(),
    ).toContain('stop')
  })
  it('tells how far below the best reading it is, once that can be seen', () => {
    expect(coach({ belowDb: 0.5 }).get('.state').text()).toMatch(/0\.50 dB.*10\.9 %/)
    expect(coach({ belowDb: 0.001 }).get('.state').text()).not.toContain('dB')
  })
  it('says what the needle does: better is down where a dip is sought', () => {
    const needle = (rising: string, seek: string) =>
      coach({ rising, peaked: { quantity: 'powerW', seek } })
        .get('.state b')
        .text()
    expect(needle('up', 'largest')).toBe(needle('down', 'smallest'))
    expect(needle('up', 'smallest')).toBe(needle('down', 'largest'))
  })
  it('asks for another pass only when the last one gained', () => {
    expect(coach({ gainDb: 0.3, passes: 1 }).text()).toContain('0.30')
    expect(coach({ gainDb: 0.02, passes: 2 }).text()).not.toContain('0.02')
  })
  it('asks for less from the generator once the receiver is no longer in its straight part', () => {
    const shown = coach({ peaked: { quantity: 'sMeter', seek: 'largest' }, value: 9.5 })
    expect(shown.findAll('[role="status"]').length).toBeGreaterThanOrEqual(1)
  })
  it('is begun and ended by its button', async () => {
    const off = coach({ on: false })
    await off.get('.v-btn').trigger('click')
    expect(off.emitted('begin')).toHaveLength(1)
  })
})
