import { describe, expect, it } from 'vitest'
import { holdsEntry, modelSheet, withAdjusterRenamed } from '../../sheet'
import { rowTaken } from '../../../test/fixtures/jobEvents'
import type { JobEvent } from '../jobEvent'
import { history } from '../history'

const M9 = modelSheet('corvid-m9')
const HOME = { mode: 'FM', channel: 20, coverage: 'standard' } as const
const power = (powerW: number, menuCode: number) =>
  rowTaken('adjusting', 'M9.3', 'power', { powerW, menuCode }, HOME)
const found = (menuCode: number) =>
  rowTaken('as-found', null, 'menu-P1', { menuCode }, { ...HOME, mode: 'AM', channel: null })
const turns = (...events: JobEvent[]) =>
  history(M9, events).turns.map(t => `${t.designator}${t.inferred ? ' inferred' : ''}`)

describe('a menu value on record', () => {
  it('that changed says that its entry was set, and asks nobody', () => {
    const { questions, turns: made } = history(M9, [power(9.1, 0x78), power(3.84, 0x56)])
    expect(made).toMatchObject([{ designator: 'P1', inferred: false, stepId: 'M9.3' }])
    expect(questions).toEqual([])
  })
  it('that is another one than as found was set too', () =>
    expect(turns(found(0x51), power(3.84, 0x56))).toEqual(['P1']))
  it('that stayed was not set, whatever the reading did', () => {
    const { questions, turns: made } = history(M9, [power(3.84, 0x56), power(3.2, 0x56)])
    expect([made, questions]).toEqual([[], []])
  })
  it('of the other country state says nothing of this one', () => {
    const expanded = rowTaken(
      'as-found',
      null,
      'menu-P1-expanded',
      { menuCode: 0x5c },
      { ...HOME, mode: 'AM', channel: null, coverage: 'expanded' },
    )
    expect(turns(expanded, power(3.84, 0x56))).toEqual([])
  })
  it('that is read back at the end says not when it was set, and spoils nothing read before it', () => {
    const left = rowTaken(
      'as-left',
      null,
      'menu-P1',
      { menuCode: 0x55 },
      { ...HOME, mode: 'AM', channel: null },
    )
    const carrier = rowTaken('as-left', null, 'fm-standard', { powerW: 3.8 }, HOME)
    const { turns: made, readings } = history(M9, [found(0x51), carrier, left])
    expect(made).toEqual([])
    expect(readings.every(r => r.staleBy.length === 0)).toBe(true)
  })
  it('of an entry whose name begins like another one is its own', () => {
    const P7 = modelSheet('quillon-p7')
    const rows = P7.matrix.filter(p => p.id.startsWith('menu-BIAS'))
    expect(rows.map(p => ['BIAS', 'BIAS-CW'].filter(d => holdsEntry(p, d)))).toEqual([['BIAS'], ['BIAS-CW']])
    const renamed = withAdjusterRenamed(P7, 'BIAS', 'VB')
    expect(renamed.matrix.filter(p => /BIAS|VB/.test(p.id)).map(p => p.id)).toEqual([
      'menu-VB',
      'menu-BIAS-CW',
    ])
  })
  it('that was struck out counts for nothing', () => {
    const wrong = power(3.84, 0x65)
    const readingId = wrong.kind === 'row-taken' ? wrong.readings[1]!.id : ''
    const struck = {
      id: crypto.randomUUID(),
      atMs: 1,
      kind: 'reading-struck',
      readingId,
      reason: '',
    } as const
    expect(turns(power(3.84, 0x56), wrong, struck, power(3.84, 0x56))).toEqual([])
  })
  it('without one, a reading that moved is asked about as before', () => {
    const bare = (powerW: number) => rowTaken('adjusting', 'M9.3', 'power', { powerW }, HOME)
    expect(turns(bare(9), bare(4))).toEqual(['P1 inferred'])
  })
})
