import { describe, expect, it } from 'vitest'
import { compareSheets, modelSheet, type ModelSheet } from '../index'

const FM = modelSheet('osmund-27f')

describe('two revisions side by side', () => {
  it('same = nothing, also with keys in another order', () => {
    expect(
      compareSheets(
        FM,
        JSON.parse(JSON.stringify(Object.fromEntries(Object.entries(FM).reverse()))) as ModelSheet,
      ),
    ).toEqual([])
  })
  it('what is new, gone, changed and moved', () => {
    const after = {
      ...FM,
      revision: 2,
      adjusters: [...FM.adjusters.slice(1), { ...FM.adjusters[0]!, designator: 'CT9' }],
      load: 'other',
    }
    const d = compareSheets(FM, after)
    expect(d).toContainEqual({ part: 'sheet', name: '', field: 'load', before: FM.load, after: 'other' })
    expect(d.find(x => x.name === 'CT1')).toMatchObject({ field: '', after: undefined })
    expect(d.find(x => x.name === 'CT9')).toMatchObject({ field: '', before: undefined })
    expect(compareSheets(FM, { ...FM, procedure: [...FM.procedure].reverse() })).toHaveLength(1)
  })
})
