import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Measurand } from '#core/sheet'
import type { TypedValue } from '../../logic/typedText'
import TypedRow from './TypedRow.vue'

const WATTMETER = {
  name: 'wattmeter',
  profileId: 'practice-wattmeter',
  setup: { attenuationDb: 0, classRatio: null, fullScale: null, classUnknown: false },
  words: '10 % of full scale',
}
const row = (props: object = {}) =>
  mount(TypedRow, {
    attachTo: document.body,
    props: {
      wants: [{ quantity: 'powerW' }, { quantity: 'carrierHz' }] as unknown as Measurand[],
      first: '3',
      optionsFor: () => [],
      typedWith: () => null,
      ...props,
    } as never,
  })
const fields = (of: ReturnType<typeof row>) => of.findAll('input')
const done = (of: ReturnType<typeof row>) => of.emitted('done')?.[0]?.[0] as TypedValue[]

describe('TypedRow', () => {
  it('begins with the digit that opened it', () => {
    expect(fields(row())[0]!.element.value).toBe('3')
  })
  it('takes a row by number and Enter, with a comma and with a unit', async () => {
    const typed = row()
    await fields(typed)[0]!.setValue('3,9')
    await fields(typed)[0]!.trigger('keydown', { key: 'Enter' })
    expect(typed.emitted('done')).toBeUndefined()
    await fields(typed)[1]!.setValue('27185.2 kHz')
    await fields(typed)[1]!.trigger('keydown', { key: 'Enter' })
    expect(done(typed).map(v => [v.quantity, v.value])).toEqual([
      ['powerW', 3.9],
      ['carrierHz', 27_185_200],
    ])
  })
  it('leaves an empty field for later', async () => {
    const typed = row()
    await fields(typed)[1]!.trigger('keydown', { key: 'Enter' })
    expect(done(typed)).toMatchObject([{ quantity: 'powerW', value: 3, instrument: null }])
  })
  it('names what it cannot read, and keeps it and everything else', async () => {
    const typed = row()
    await fields(typed)[1]!.setValue('27 apples')
    await typed.get('.go .v-btn').trigger('click')
    expect(typed.emitted('done')).toBeUndefined()
    expect(typed.get('#typed-carrierHz-note').text()).toContain('apples')
    expect(fields(typed).map(f => f.element.value)).toEqual(['3', '27 apples'])
    expect(fields(typed)[1]!.attributes('aria-invalid')).toBe('true')
  })
  it('is left by Escape, and by saving nothing', async () => {
    const typed = row({ first: '' })
    await fields(typed)[0]!.trigger('keydown', { key: 'Escape' })
    await typed.get('.go .v-btn').trigger('click')
    expect(typed.emitted('cancel')).toHaveLength(2)
  })
  it('keeps a needle at its stop as a bound, and the meter it was read from', async () => {
    const typed = row({ typedWith: () => WATTMETER })
    await fields(typed)[0]!.setValue('>20')
    await typed.get('.go .v-btn').trigger('click')
    expect(done(typed)[0]).toMatchObject({ value: 20, bound: 'at-least', instrument: { name: 'wattmeter' } })
  })
})
