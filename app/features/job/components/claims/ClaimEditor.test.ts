import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Claim } from '#core/claims'
import { MAX_CLAIMS } from '#shared/job'
import ClaimEditor from './ClaimEditor.vue'

const CLAIM: Claim = { id: 'c1', quantity: 'powerW', kind: 'under', value: 4, meter: '' }

function editor(claims: Claim[] = [CLAIM]) {
  const shown = mount(ClaimEditor, {
    props: {
      'modelValue': claims,
      'onUpdate:modelValue': (next: Claim[] | undefined) => shown.setProps({ modelValue: next ?? [] }),
    },
  })
  return shown
}
const kept = (of: ReturnType<typeof editor>) => of.props('modelValue') as Claim[]

describe('ClaimEditor', () => {
  it('shows a claim in the unit of the bench', () => {
    expect(editor().get<HTMLInputElement>('.number input').element.value).toBe('4')
    expect(editor().get('.number').text()).toContain('W')
  })
  it('reads a decimal comma', async () => {
    const shown = editor()
    await shown.get('.number input').setValue('3,5')
    expect(kept(shown)[0]!.value).toBe(3.5)
    expect(shown.find('.problem').exists()).toBe(false)
  })
  it('keeps a text that is no number as it was typed, and says so', async () => {
    const shown = editor()
    await shown.get('.number input').setValue('4 or 5')
    expect(kept(shown)[0]!.value).toBeNaN()
    expect(shown.get('.problem').text()).toContain('number')
    expect(shown.get<HTMLInputElement>('.number input').element.value).toBe('4 or 5')
  })
  it('takes the number in the new unit when the quantity changes', async () => {
    const shown = editor([{ ...CLAIM, quantity: 'depthRatio' as Claim['quantity'], value: 0.8 }])
    expect(shown.get<HTMLInputElement>('.number input').element.value).toBe('80')
    await shown.findAll('select')[1]!.setValue('powerW')
    expect(kept(shown)[0]).toMatchObject({ quantity: 'powerW', value: 80 })
  })
  it('adds and removes, up to as many as a job takes', async () => {
    const shown = editor([])
    await shown.get('fieldset > button').trigger('click')
    expect(kept(shown)).toHaveLength(1)
    expect(shown.find('.problem').exists()).toBe(false)
    await shown.get('.claim button').trigger('click')
    expect(kept(shown)).toEqual([])
    const full = Array.from({ length: MAX_CLAIMS }, (_, i) => ({ ...CLAIM, id: `c${i}` }))
    expect(editor(full).find('fieldset > button').exists()).toBe(false)
  })
})
