import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { judge } from '#core/rules'
import type { CellState } from '#core/run'
import MatrixCell from './MatrixCell.vue'

const WINDOW = { low: 3.6, high: 4, aim: 3.8 }
function cell(value: number | null, requirement: object = {}, reading: object = {}): CellState {
  const measured = { value: value ?? 0, standardUncertainty: 0.02 }
  const asked = { window: WINDOW, limit: null, nominalHz: null, ...requirement }
  return {
    want: { quantity: 'powerW' },
    requirement: asked,
    latest:
      value === null
        ? null
        : {
            reading: {
              id: 'r1',
              quantity: 'powerW',
              source: 'live',
              instrument: 'wattmeter',
              ...measured,
              ...reading,
            },
          },
    judgement: value === null ? null : judge(measured, asked.window, null),
  } as unknown as CellState
}
const shown = (of: CellState, props: object = {}) =>
  mount(MatrixCell, { props: { cell: of, stale: false, active: false, ...props } })
const mark = (of: ReturnType<typeof shown>) => of.find('.state-mark')

describe('MatrixCell', () => {
  it('shows the reading, its bound and its verdict', () => {
    const within = shown(cell(3.8))
    expect(within.text()).toMatch(/3\.80W\u00b10\.03\sW/)
    expect(mark(within).attributes('aria-label')).toBe('within')
    expect(mark(shown(cell(2))).attributes('aria-label')).toBe('below')
  })
  it('says that nothing was measured, and judges nothing', () => {
    const missing = shown(cell(null))
    expect(missing.text()).toContain('not measured')
    expect(mark(missing).exists()).toBe(false)
  })
  it('keeps no verdict that a later turn has made doubtful', () => {
    expect(mark(shown(cell(3.8), { stale: true })).attributes('aria-label')).toMatch(/recheck/i)
  })
  it('marks no verdict where nothing is asked', () => {
    expect(mark(shown(cell(3.8, { window: null }))).exists()).toBe(false)
  })
  it('says that a reading was typed, and that nobody knows its uncertainty', () => {
    const typed = shown(cell(3.8, {}, { source: 'typed', standardUncertainty: null, instrument: null }))
    expect(typed.get('.pm').text()).toMatch(/uncertainty unknown.*typed/)
  })
})
