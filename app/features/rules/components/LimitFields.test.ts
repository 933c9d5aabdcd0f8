import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { LimitBody } from '#shared/ruleSet'
import LimitFields from './LimitFields.vue'

const LIMIT = {
  id: 'OWN-1',
  quantity: 'deviationPositiveHz',
  modes: ['FM'],
  lowPower: null,
  low: null,
  high: 2500,
  errorHz: null,
  errorPpm: null,
  words: '',
} as unknown as LimitBody

function fields(limit = LIMIT) {
  const shown = mount(LimitFields, {
    attachTo: document.body,
    props: {
      'modelValue': limit,
      'onUpdate:modelValue': (next: LimitBody) => shown.setProps({ modelValue: next }),
    },
  })
  return shown
}
const kept = (of: ReturnType<typeof fields>) => of.props('modelValue') as LimitBody
const maximum = (of: ReturnType<typeof fields>) => of.findAll<HTMLInputElement>('input.fig')[2]!

describe('LimitFields', () => {
  it('shows and takes a limit in the unit of the bench', async () => {
    const shown = fields()
    expect(maximum(shown).element.value).toBe('2.5')
    await maximum(shown).setValue('2,2')
    await maximum(shown).trigger('change')
    expect(kept(shown).high).toBeCloseTo(2200, 9)
  })
  it('does not lose a limit to a slip of the hand', async () => {
    const shown = fields()
    await maximum(shown).setValue('2.5 kHzz')
    await maximum(shown).trigger('change')
    expect(kept(shown).high).toBe(2500)
    expect(maximum(shown).element.value).toBe('2.5')
    expect(maximum(shown).element.validationMessage).toContain('2.5 kHzz')
  })
  it('takes a limit away when its field is emptied', async () => {
    const shown = fields()
    await maximum(shown).setValue('')
    await maximum(shown).trigger('change')
    expect(kept(shown).high).toBeNull()
  })
  it('asks for Hz and ppm where the quantity is a frequency', () => {
    expect(fields().findAll('input.fig')).toHaveLength(3)
    expect(fields({ ...LIMIT, quantity: 'carrierHz' } as LimitBody).findAll('input.fig')).toHaveLength(5)
  })
})
