import type { Quantity } from '#core/quantity'
import type { RowState } from '#core/run'

/** Rows that ask for the same quantities stand under one head. */
export interface GridGroup {
  readonly quantities: readonly Quantity[]
  readonly rows: readonly RowState[]
}

export const DIRECTIONS = ['across', 'down'] as const
export type Direction = (typeof DIRECTIONS)[number]

/** A field: which row, which quantity. */
export interface GridField {
  readonly pointId: string
  readonly quantity: Quantity
}
export const fieldKey = ({ pointId, quantity }: GridField) => `${pointId}/${quantity}`

const quantitiesOf = (row: RowState) => row.cells.map(c => c.want.quantity)

/** In the order of the rows: the next row begins a new group where it asks for something else. */
export function gridGroups(rows: readonly RowState[]): GridGroup[] {
  const groups: { quantities: readonly Quantity[]; rows: RowState[] }[] = []
  for (const row of rows) {
    const quantities = quantitiesOf(row)
    const last = groups.at(-1)
    if (last && last.quantities.join() === quantities.join()) last.rows.push(row)
    else groups.push({ quantities, rows: [row] })
  }
  return groups
}

/** Every field in the order in which it is typed: row by row, or column by column within a group. */
export function fieldOrder(groups: readonly GridGroup[], direction: Direction): GridField[] {
  return groups.flatMap(({ quantities, rows }) =>
    direction === 'across'
      ? rows.flatMap(r => quantities.map(quantity => ({ pointId: r.point.id, quantity })))
      : quantities.flatMap(quantity => rows.map(r => ({ pointId: r.point.id, quantity }))),
  )
}

/**
 * Where pasted lines go: down from a field, over the rows that ask for its quantity; what stands behind tabs
 * goes to the fields beside it. What finds no field is left over.
 */
export function pasted(
  rows: readonly RowState[],
  from: GridField,
  text: string,
): { readonly fields: readonly (GridField & { readonly text: string })[]; readonly left: number } {
  const lines = text
    .replace(/\r\n?/g, '\n')
    .replace(/\n+$/, '')
    .split('\n')
    .map(line => line.split('\t').map(cell => cell.trim()))
  const start = rows.findIndex(r => r.point.id === from.pointId)
  const below = rows.slice(start).filter(r => quantitiesOf(r).includes(from.quantity))
  const fields = lines.flatMap((line, i) => {
    const row = below[i]
    if (!row) return []
    const quantities = quantitiesOf(row)
    const first = quantities.indexOf(from.quantity)
    return line.flatMap((cell, j) => {
      const quantity = quantities[first + j]
      return quantity === undefined ? [] : [{ pointId: row.point.id, quantity, text: cell }]
    })
  })
  return { fields, left: lines.flat().length - fields.length }
}

/** Whether a text is more than one field holds. */
export const isTable = (text: string) => /[\n\t]/.test(text.trim())
