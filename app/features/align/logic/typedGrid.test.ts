import { describe, expect, it } from 'vitest'
import type { Quantity } from '#core/quantity'
import type { RowState } from '#core/run'
import { fieldKey, fieldOrder, gridGroups, isTable, pasted } from './typedGrid'
import { useTypedGrid } from './useTypedGrid'
import type { TypedValue } from './typedText'

const row = (id: string, ...quantities: Quantity[]): RowState =>
  ({
    point: { id, title: id, wants: quantities.map(quantity => ({ quantity })) },
    cells: quantities.map(quantity => ({ want: { quantity }, latest: null })),
    complete: false,
    stale: false,
    row: null,
  }) as unknown as RowState
const ROWS = [
  row('vco', 'vcoV'),
  row('c1', 'carrierHz', 'powerW'),
  row('c19', 'carrierHz', 'powerW'),
  row('tone', 'depthPositiveRatio', 'powerW'),
]
const at = (pointId: string, quantity: Quantity) => ({ pointId, quantity })

describe('the table of typed readings', () => {
  it('has one head for rows that ask for the same', () => {
    expect(gridGroups(ROWS).map(g => [g.quantities.length, g.rows.length])).toEqual([
      [1, 1],
      [2, 2],
      [2, 1],
    ])
  })
  it('goes row by row, or column by column within a head, and leaves no field out', () => {
    const keys = (direction: 'across' | 'down') => fieldOrder(gridGroups(ROWS), direction).map(fieldKey)
    expect(keys('across').slice(1, 5)).toEqual(['c1/carrierHz', 'c1/powerW', 'c19/carrierHz', 'c19/powerW'])
    expect(keys('down').slice(1, 5)).toEqual(['c1/carrierHz', 'c19/carrierHz', 'c1/powerW', 'c19/powerW'])
    expect([...keys('across')].sort()).toEqual([...keys('down')].sort())
  })
  it('takes a pasted column down over the rows that ask for it, and a block beside it', () => {
    const column = pasted(ROWS, at('c1', 'powerW'), '4.1\r\n4.2\n5.0\n9\n')
    expect(column.fields.map(f => [fieldKey(f), f.text])).toEqual([
      ['c1/powerW', '4.1'],
      ['c19/powerW', '4.2'],
      ['tone/powerW', '5.0'],
    ])
    expect(column.left).toBe(1)
    const block = pasted(ROWS, at('c1', 'carrierHz'), '26.965\t4.1\n27.185\t4.2\tx')
    expect(block.fields.map(fieldKey)).toEqual(['c1/carrierHz', 'c1/powerW', 'c19/carrierHz', 'c19/powerW'])
    expect(block.left).toBe(1)
    expect([isTable('4.1'), isTable('4.1\n'), isTable('4.1\n4.2'), isTable('1\t2')]).toEqual([
      false,
      false,
      true,
      true,
    ])
  })
})

describe('typing in the table', () => {
  function grid(refuse: (id: string) => boolean = () => false) {
    const saved: [string, TypedValue[]][] = []
    let busy = false
    const made = useTypedGrid({
      rows: () => ROWS,
      direction: () => 'across',
      typedWith: () => null,
      tickA: () => null,
      nameOf: field => field.pointId,
      save: async (id, values) => {
        // As the real one: a second row at the same time would be lost.
        if (busy) return false
        busy = true
        await new Promise(done => setTimeout(done, 1))
        busy = false
        if (refuse(id)) return false
        saved.push([id, values])
        return true
      },
    })
    const type = (pointId: string, quantity: Quantity, text: string) =>
      (made.texts.value[`${pointId}/${quantity}`] = text)
    return { ...made, saved, type }
  }
  const quantities = (values: TypedValue[]) => values.map(v => v.quantity)

  it('keeps a whole row when it is left, and one that is only begun when all is saved', async () => {
    const { type, leave, saveAll, saved, isKept, isDirty } = grid()
    type('c1', 'carrierHz', '26965.1 kHz')
    leave('c1')
    await Promise.resolve()
    expect([saved.length, isDirty.value]).toEqual([0, true])
    type('c1', 'powerW', '4.4')
    leave('c1')
    type('c19', 'powerW', '4.5')
    expect(await saveAll()).toEqual([])
    expect(saved.map(([id, v]) => [id, quantities(v)])).toEqual([
      ['c1', ['carrierHz', 'powerW']],
      ['c19', ['powerW']],
    ])
    expect([isKept(ROWS[1]!), isKept(ROWS[0]!), isDirty.value]).toEqual([true, false, false])
  })
  it('sends what was changed since, and nothing twice', async () => {
    const { type, saveAll, saved } = grid()
    type('c1', 'carrierHz', '26965.1 kHz')
    type('c1', 'powerW', '4.4')
    await saveAll()
    await saveAll()
    type('c1', 'powerW', '4.5')
    await saveAll()
    expect(saved.map(([, v]) => quantities(v))).toEqual([['carrierHz', 'powerW'], ['powerW']])
    expect(saved[1]![1][0]!.value).toBe(4.5)
  })
  it('names a wrong field and keeps what was typed; the other rows are kept', async () => {
    const { type, saveAll, saved, problems, texts } = grid()
    type('c1', 'powerW', 'four')
    type('c19', 'powerW', '4.5')
    expect((await saveAll()).map(r => r.point.id)).toEqual(['c1'])
    expect(Object.keys(problems.value)).toEqual(['c1/powerW'])
    expect(texts.value['c1/powerW']).toBe('four')
    expect(saved.map(([id]) => id)).toEqual(['c19'])
    type('c1', 'powerW', '4')
    expect(await saveAll()).toEqual([])
    expect(problems.value).toEqual({})
  })
  it('tells of a row that could not be kept, and keeps it the next time', async () => {
    let isFull = true
    const { type, saveAll, saved, isDirty } = grid(() => isFull)
    type('c1', 'powerW', '4.4')
    expect((await saveAll()).map(r => r.point.id)).toEqual(['c1'])
    expect(isDirty.value).toBe(true)
    isFull = false
    expect(await saveAll()).toEqual([])
    expect(saved).toHaveLength(1)
  })
  it('keeps pasted rows at once where they are whole', async () => {
    const { paste, saveAll, saved } = grid()
    expect(paste(at('c1', 'carrierHz'), '26965.1 kHz\t4.1\n27185 kHz\t4.2')).toBe(0)
    await saveAll()
    expect(saved.map(([id]) => id)).toEqual(['c1', 'c19'])
  })
  it('goes up and down within a quantity, past rows that do not ask for it', () => {
    const { beside, after } = grid()
    expect(beside(at('c19', 'powerW'), 1)).toEqual(at('tone', 'powerW'))
    expect(beside(at('c1', 'carrierHz'), -1)).toBeNull()
    expect(after(at('vco', 'vcoV'))).toEqual(at('c1', 'carrierHz'))
    expect(after(at('tone', 'powerW'))).toBeNull()
  })
})
