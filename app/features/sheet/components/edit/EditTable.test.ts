import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import EditTable from './EditTable.vue'
import type { EditColumn } from './editColumn'

interface Row {
  name: string
  factor: number
  remark: string | null
}
const ROWS: Row[] = [
  { name: 'X1', factor: 2, remark: null },
  { name: 'X2', factor: -1, remark: 'third overtone' },
]
const COLUMNS: EditColumn[] = [
  { key: 'name', label: 'Name', kind: 'text' },
  { key: 'factor', label: 'times', kind: 'number' },
  { key: 'remark', label: 'Remark', kind: 'optional' },
] as EditColumn[]

const table = (rows = ROWS) =>
  mount(EditTable, {
    attachTo: document.body,
    props: {
      rows,
      columns: COLUMNS,
      make: () => ({ name: '', factor: 1, remark: null }),
      add: 'Add',
      empty: 'None yet',
    } as never,
  })
const changed = (of: ReturnType<typeof table>) => of.emitted('change')?.at(-1)?.[0] as Row[] | undefined
async function type(of: ReturnType<typeof table>, row: number, column: number, text: string) {
  const field = of.findAll('tbody tr')[row]!.findAll<HTMLInputElement>('input')[column]!
  await field.setValue(text)
  await field.trigger('change')
  return field
}

describe('EditTable', () => {
  it('changes the one field that was typed', async () => {
    const shown = table()
    await type(shown, 0, 1, '1,5')
    expect(changed(shown)).toEqual([{ ...ROWS[0], factor: 1.5 }, ROWS[1]])
  })
  it('keeps the number that stands when what is typed is none', async () => {
    const shown = table()
    const field = await type(shown, 1, 1, 'twice')
    expect(changed(shown) ?? ROWS).toEqual(ROWS)
    expect(field.element.value).toBe('-1')
  })
  it('takes an emptied remark for none', async () => {
    const shown = table()
    await type(shown, 1, 2, ' ')
    expect(changed(shown)![1]!.remark).toBeNull()
  })
  it('moves, removes and adds rows; the first one cannot go up', async () => {
    const shown = table()
    const [first, second] = shown.findAll('tbody tr').map(r => r.findAll('button'))
    expect(first![0]!.attributes('disabled')).toBeDefined()
    await second![0]!.trigger('click')
    expect(changed(shown)!.map(r => r.name)).toEqual(['X2', 'X1'])
    await second![1]!.trigger('click')
    expect(changed(shown)!.map(r => r.name)).toEqual(['X1'])
    await shown.get('.v-btn').trigger('click')
    expect(changed(shown)).toHaveLength(3)
  })
  it('says what is missing where there is no row', () => {
    expect(table([]).text()).toContain('None yet')
  })
})
