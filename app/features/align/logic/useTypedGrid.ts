import { computed, ref } from 'vue'
import type { Measurand } from '#core/sheet'
import type { RowState } from '#core/run'
import { fieldKey, fieldOrder, gridGroups, pasted, type Direction, type GridField } from './typedGrid'
import type { TypedInstrument } from './typedInstrument'
import { readText, typedValue, withTick, type TypedValue } from './typedText'

export interface TypedGridParts {
  readonly rows: () => readonly RowState[]
  readonly direction: () => Direction
  readonly typedWith: (quantity: Measurand['quantity']) => TypedInstrument | null
  readonly tickA: () => number | null
  /** what a field is called */
  readonly nameOf: (field: GridField) => string
  /** @returns whether the values of a row were kept */
  readonly save: (pointId: string, values: TypedValue[]) => Promise<boolean>
}

/**
 * Many rows typed one after the other. A row that is whole is kept as soon as it is left; what is only begun
 * waits until everything is saved. What was kept is kept again only where it was changed since.
 */
export function useTypedGrid(parts: TypedGridParts) {
  const texts = ref<Record<string, string>>({})
  /** as it was when it was kept */
  const kept = ref<Record<string, string>>({})
  const problems = ref<Record<string, string>>({})
  /** One after the other: a second row waits until the first one is kept. */
  let saving: Promise<unknown> = Promise.resolve()

  const groups = computed(() => gridGroups(parts.rows()))
  const order = computed(() => fieldOrder(groups.value, parts.direction()))
  const textOf = (field: GridField) => (texts.value[fieldKey(field)] ?? '').trim()
  const isChanged = (field: GridField) => textOf(field) !== (kept.value[fieldKey(field)] ?? '')
  const fieldsOf = (row: RowState) =>
    row.cells.map(c => ({ pointId: row.point.id, quantity: c.want.quantity, want: c.want }))

  /** @returns what stands in a field; a wrong one is named */
  function look(field: GridField & { want: Measurand }) {
    const { typed, problem } = readText(textOf(field), field.want, parts.tickA())
    const { [fieldKey(field)]: _old, ...others } = problems.value
    problems.value =
      problem === null ? others : { ...others, [fieldKey(field)]: `${parts.nameOf(field)}: ${problem}` }
    return typed
  }
  const changedOf = (row: RowState) => fieldsOf(row).filter(f => isChanged(f) && textOf(f) !== '')
  const isWhole = (row: RowState) => fieldsOf(row).every(f => textOf(f) !== '')
  const isKept = (row: RowState) =>
    fieldsOf(row).some(f => kept.value[fieldKey(f)]) && !fieldsOf(row).some(isChanged)

  async function keepRow(row: RowState): Promise<boolean> {
    const fields = changedOf(row)
    if (fields.length === 0) return true
    const values = fields.flatMap(f => {
      const typed = look(f)
      const { quantity } = f
      return typed
        ? [typedValue(typed, quantity, withTick(parts.typedWith(quantity), quantity, parts.tickA()))]
        : []
    })
    if (values.length < fields.length) return false
    const asTyped = Object.fromEntries(fields.map(f => [fieldKey(f), textOf(f)]))
    if (!(await parts.save(row.point.id, values))) return false
    kept.value = { ...kept.value, ...asTyped }
    return true
  }
  /** @returns rows that could not be kept */
  function keep(rows: readonly RowState[]): Promise<RowState[]> {
    const done = saving.then(async () => {
      const left: RowState[] = []
      for (const row of rows) if (!(await keepRow(row))) left.push(row)
      return left
    })
    saving = done.catch(() => undefined)
    return done
  }
  /** A whole row that is left is kept; of any other its wrong fields are named. */
  function leave(pointId: string) {
    const row = parts.rows().find(r => r.point.id === pointId)
    if (!row) return
    for (const f of changedOf(row)) look(f)
    if (isWhole(row)) void keep([row])
  }
  const saveAll = () => keep(parts.rows())

  function after(field: GridField): GridField | null {
    const at = order.value.findIndex(f => fieldKey(f) === fieldKey(field))
    return order.value[at + 1] ?? null
  }
  /** The field above or below, of the same quantity. */
  function beside(field: GridField, by: 1 | -1): GridField | null {
    const column = fieldOrder(groups.value, 'down').filter(f => f.quantity === field.quantity)
    return column[column.findIndex(f => f.pointId === field.pointId) + by] ?? null
  }
  /** @returns how many pasted values found no field */
  function paste(from: GridField, text: string): number {
    const { fields, left } = pasted(parts.rows(), from, text)
    for (const f of fields) texts.value[fieldKey(f)] = f.text
    for (const id of new Set(fields.map(f => f.pointId))) leave(id)
    return left
  }
  const isDirty = computed(() => parts.rows().some(r => changedOf(r).length > 0))
  return { texts, problems, groups, order, after, beside, paste, leave, saveAll, isKept, isDirty }
}
