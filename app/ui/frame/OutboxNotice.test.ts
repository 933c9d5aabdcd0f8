import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { JobEvent } from '#core/run'
import OutboxNotice from './OutboxNotice.vue'

const NOTE = { kind: 'note', id: 'n1', atMs: 0, stepId: null, text: 'L7 is loose' } as unknown as JobEvent
const notice = (props: object = {}) =>
  mount(OutboxNotice, { props: { waiting: 0, trouble: null, refused: [], ...props } as never })

describe('OutboxNotice', () => {
  it('is not there while everything is sent', () => {
    expect(notice().find('.notice').exists()).toBe(false)
    expect(notice({ waiting: 2 }).find('.notice').exists()).toBe(false)
  })
  it('says how many entries wait, and for what', () => {
    const shown = notice({ waiting: 3, trouble: 'The server does not answer.' })
    expect(shown.text()).toMatch(/3 .*The server does not answer\./)
  })
  it('shows what the server refused, in words, and drops it only when that is decided', async () => {
    const shown = notice({ refused: [{ key: 7, event: NOTE, refused: 'the step is unknown' }] })
    expect(shown.find('li').exists()).toBe(false)
    await shown.get('button').trigger('click')
    expect(shown.get('li').text()).toMatch(/L7 is loose.*the step is unknown/)
    expect(shown.emitted('giveUp')).toBeUndefined()
    const [again, discard] = shown.findAll('li button')
    await again!.trigger('click')
    expect([shown.emitted('sendAgain'), shown.emitted('giveUp')]).toEqual([[[7]], undefined])
    await discard!.trigger('click')
    expect(shown.emitted('giveUp')).toEqual([[7]])
  })
})
