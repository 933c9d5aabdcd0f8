import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { JobEvent } from '#core/run'
import { modelSheet } from '#core/sheet'
import { inspection } from '#core/work'
import CheckList from './CheckList.vue'

const AM = modelSheet('osmund-40a')
const inspected = (itemId: string, state: 'fine' | 'seen', text = '') =>
  ({ id: itemId, atMs: 1, kind: 'item-inspected', itemId, state, text }) as JobEvent
const list = (...events: JobEvent[]) =>
  mount(CheckList, { props: { items: inspection(AM, events) }, slots: { default: 'photos here' } })
const item = (of: ReturnType<typeof list>, id: string) => of.get(`[data-item="${id}"]`)

describe('CheckList', () => {
  it('something that is right has no fields until somebody wants to write at it', async () => {
    const shown = list(inspected('I33', 'fine'))
    expect(item(shown, 'I33').find('input').exists()).toBe(false)
    await item(shown, 'I33').get('.more').trigger('click')
    expect(item(shown, 'I33').text()).toContain('photos here')
    const field = item(shown, 'I33').get('input')
    await field.setValue('all there')
    await field.trigger('change')
    expect(shown.emitted('send')!.at(-1)).toEqual([
      { kind: 'item-inspected', itemId: 'I33', state: 'fine', text: 'all there' },
    ])
  })
  it('what was written at it before stays in sight', () => {
    const shown = list(inspected('I33', 'fine', 'seal unbroken'))
    expect(item(shown, 'I33').get<HTMLInputElement>('input').element.value).toBe('seal unbroken')
  })
  it('what was not looked at has neither', () => {
    expect(item(list(), 'I33').find('.more, input').exists()).toBe(false)
  })
})
