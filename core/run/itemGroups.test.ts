import { describe, expect, it } from 'vitest'
import type { OpenItem } from './openItems'
import { itemGroups } from './itemGroups'

const item = (kind: OpenItem['kind'], n: number, settled: string | null = null): OpenItem => ({
  id: `${kind}:${n}`,
  title: `${kind} ${n}`,
  kind,
  detail: '',
  settled,
})
const many = (kind: OpenItem['kind'], count: number) => Array.from({ length: count }, (_, n) => item(kind, n))

describe('itemGroups', () => {
  it('makes one line of many that one reason can settle, and leaves the rest one by one', () => {
    const groups = itemGroups([
      ...many('as-left-missing', 12),
      ...many('owed', 2),
      ...many('as-left-outside', 4),
      item('question', 1),
      item('reminder', 1),
    ])
    expect(groups.map(g => [g.group, g.lines.map(l => [l.items[0]!.kind, l.items.length])])).toEqual([
      ['seen', Array.from({ length: 4 }, () => ['as-left-outside', 1])],
      ['asked', [['question', 1]]],
      ['due', [['reminder', 1]]],
      [
        'owed',
        [
          ['as-left-missing', 12],
          ['owed', 1],
          ['owed', 1],
        ],
      ],
    ])
  })
  it('what a new final owes before it is keyed is settled item by item', () => {
    const [group] = itemGroups(many('after-final', 5))
    expect(group!.lines).toHaveLength(5)
  })
  it('holds every open item once, and nothing that is settled', () => {
    const items = [...many('step-open', 7), item('soak', 1), item('owed', 9, 'done on the day before')]
    const held = itemGroups(items).flatMap(g => g.lines.flatMap(l => l.items))
    expect(held).toHaveLength(8)
    expect(new Set(held.map(i => i.id)).size).toBe(8)
    expect(held.every(i => i.settled === null)).toBe(true)
  })
})
