import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { RowState } from '#core/run'
import RowsApart from './RowsApart.vue'

const row = (id: string): RowState =>
  ({
    point: { id, title: `Row ${id}` },
    cells: [{ want: { quantity: 'sensitivityV' }, latest: null }],
  }) as unknown as RowState
const shown = (leftOut: [string, string][]) =>
  mount(RowsApart, { props: { rows: [row('a'), row('b')], leftOut: new Map(leftOut) } })

describe('rows without an instrument', () => {
  it('are one block with what is missing, left out at once', async () => {
    const block = shown([])
    expect(block.text()).toMatch(/2 rows cannot be measured here: .*sensitivity/i)
    await block.find('button, v-btn').trigger('click')
    expect(block.emitted('leaveOut')).toEqual([[['a', 'b']]])
  })
  it('say with which reason they were left out; those that are not stay in question', () => {
    expect(shown([['a', 'no generator']]).text()).toMatch(/One row cannot.*One row left out: no generator/s)
    expect(
      shown([
        ['a', 'no generator'],
        ['b', 'no generator'],
      ]).text(),
    ).not.toContain('cannot be measured')
  })
  it('are typed all the same where somebody read them', async () => {
    const block = shown([
      ['a', 'no generator'],
      ['b', 'no generator'],
    ])
    await block.findAll('li button, li v-btn')[1]!.trigger('click')
    expect(block.emitted('type')).toEqual([['b']])
  })
})
