import { describe, expect, it } from 'vitest'
import type { Quantity } from '#core/quantity'
import type { RowState } from '#core/run'
import { quantitiesOf, unreadableRows } from './unreadable'

const row = (id: string, cells: readonly (readonly [Quantity, boolean])[], isOpen = true): RowState =>
  ({
    point: { id },
    isOpen,
    cells: cells.map(([quantity, isRead]) => ({ want: { quantity }, latest: isRead ? {} : null })),
  }) as unknown as RowState

describe('rows without an instrument', () => {
  const canRead = (q: Quantity) => q === 'powerW'
  it('are those of which nothing was read and nothing can be', () => {
    const rows = [
      row('power', [['powerW', false]]),
      row('both', [
        ['powerW', false],
        ['sensitivityV', false],
      ]),
      row('ear', [['sensitivityV', false]]),
      row('borrowed', [['sensitivityV', true]]),
      row('owed by nobody', [['sensitivityV', false]], false),
    ]
    const apart = unreadableRows(rows, canRead)
    expect(apart.map(r => r.point.id)).toEqual(['ear'])
    expect(quantitiesOf([...apart, ...apart])).toEqual(['sensitivityV'])
    expect(unreadableRows(rows, () => true)).toEqual([])
  })
})
