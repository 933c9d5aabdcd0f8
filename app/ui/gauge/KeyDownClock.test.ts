import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import type { KeyDownView } from '#core/run'
import { readLanguageFrom } from '#shared/i18n'
import KeyDownClock from './KeyDownClock.vue'

const shown = (view: KeyDownView, ofLimit = 0, sensed = true) =>
  mount(KeyDownClock, { props: { view, warmth: { ofLimit, coolInS: 0 }, sensed } })
const at = (phase: KeyDownView['phase'], seconds: number, limitS: number | null = 20) =>
  shown({ phase, seconds, limitS })

afterEach(() => readLanguageFrom(() => 'en'))

describe('KeyDownClock', () => {
  it('says how long the set is keyed, and for how long it may be', () => {
    const clock = at('keyed', 4.25)
    expect(clock.text()).toContain('Keyed, max. 20 s')
    expect(clock.get('b').text()).toMatch(/^4\.3\ss$/)
    expect(clock.attributes('role')).toBeUndefined()
  })
  it('does not say that a set is unkeyed where no instrument would show it keyed', () => {
    const idle = (sensed: boolean) => shown({ phase: 'idle', seconds: 0, limitS: 20 }, 0, sensed).text()
    expect([idle(true), idle(false)]).toEqual([
      expect.stringContaining('Not keyed'),
      expect.stringContaining('Keying not sensed'),
    ])
  })
  it('names no limit where the step has none', () => {
    expect(at('keyed', 4, null).text()).not.toContain('max')
  })
  it('becomes an alert when the time is over, in both languages', () => {
    const over = at('over', 21)
    expect([over.attributes('role'), over.text()]).toEqual(['alert', expect.stringContaining('UNKEY NOW')])
    readLanguageFrom(() => 'es')
    expect(at('over', 21).text()).toContain('SUELTE EL PTT')
  })
  it('shows danger by a sign too, not by colour alone', () => {
    expect(at('warn', 17).findAll('path')).toHaveLength(1)
    expect(at('keyed', 3).findAll('path')).toHaveLength(0)
  })
  it('tells an estimated heating only where there is some', () => {
    expect(at('idle', 0).find('i').exists()).toBe(false)
    expect(shown({ phase: 'rest', seconds: 30, limitS: 20 }, 0.64).get('i').text()).toContain('64')
  })
})
