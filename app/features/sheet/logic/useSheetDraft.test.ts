// @vitest-environment happy-dom
import { beforeEach, describe, expect, it } from 'vitest'
import { modelSheet } from '#core/sheet'
import { discardDraft, listDrafts, newDraftName, useSheetDraft } from '~/features/sheet/logic/useSheetDraft'

const FM = modelSheet('osmund-27f')

beforeEach(() => localStorage.clear())

describe('a sheet being written', () => {
  it('takes every change back and gives it again, in order', () => {
    const d = useSheetDraft('osmund-27f')
    d.begin(FM)
    d.change({ load: 'a' })
    d.change({ load: 'b' })
    d.undo()
    expect([d.draft.value!.load, d.canRedo.value]).toEqual(['a', true])
    d.redo()
    expect(d.draft.value!.load).toBe('b')
    d.undo()
    d.undo()
    d.undo()
    expect([d.draft.value!.load, d.canUndo.value, d.differences.value]).toEqual([FM.load, false, []])
    d.redo()
    d.change({ load: 'c' })
    expect(d.canRedo.value).toBe(false)
  })
  it('survives a closed browser, and can be given up', () => {
    const first = useSheetDraft('osmund-27f')
    first.begin(FM)
    first.change({ load: 'oil' })
    const again = useSheetDraft('osmund-27f')
    again.begin(FM)
    expect([again.recovered.value, again.draft.value!.load]).toEqual([true, 'oil'])
    again.startOver()
    expect([again.recovered.value, again.draft.value!.load]).toEqual([false, FM.load])
  })
  it('of an older revision is put together with the newer one: a correction made in a run kills no draft', () => {
    const first = useSheetDraft('osmund-27f')
    first.begin(FM)
    first.change({ load: 'oil' })
    const newer = useSheetDraft('osmund-27f')
    newer.begin({ ...FM, revision: 2, description: 'corrected' })
    expect([
      newer.recovered.value,
      newer.draft.value!.load,
      newer.draft.value!.description,
      newer.draft.value!.revision,
      newer.taken.value,
    ]).toEqual([true, 'oil', 'corrected', 2, 1])
    expect(newer.differences.value.map(d => d.field)).toEqual(['load'])
  })
  it('what both changed is decided place by place', () => {
    const first = useSheetDraft('osmund-27f')
    first.begin(FM)
    first.change({ load: 'oil' })
    const newer = useSheetDraft('osmund-27f')
    newer.begin({ ...FM, revision: 2, load: 'air' })
    expect([newer.draft.value!.load, newer.conflicts.value.length]).toEqual(['air', 1])
    newer.decide(newer.conflicts.value[0]!, 'mine')
    expect([newer.draft.value!.load, newer.conflicts.value.length]).toEqual(['oil', 0])
  })
  it('is listed, and discarded on purpose only', () => {
    const d = useSheetDraft(newDraftName('b27'))
    d.begin({ ...FM, id: 'b27', model: 'Osmund B27' })
    d.change({ load: 'oil' })
    expect(listDrafts()).toEqual([{ name: 'new-b27', model: 'Osmund B27', isNew: true, lines: 1 }])
    discardDraft('new-b27')
    expect(listDrafts()).toEqual([])
  })
  it('names what does not hold together at once', () => {
    const d = useSheetDraft('x')
    d.begin(FM)
    d.change({ adjusters: FM.adjusters.filter(a => a.designator !== 'CT2') })
    expect(d.problems.value.map(p => p.code)).toContain('unknown-adjuster')
  })
})
