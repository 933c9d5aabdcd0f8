import { describe, expect, it } from 'vitest'
import { SHEETS, comesAfter, modelSheet } from '#core/sheet'
import { rowTaken } from '../../../../test/fixtures/jobEvents'
import { menuGoal, originalCode, matrixState, runState } from '#core/run'
import { ruleSet } from '#core/rules'
import { boardPins, boardSides, showing, sideOf } from './boardPins'
import { sheetIdOf } from '#shared/sheet/sheetId'
import { stepGraph } from './sheetGraph'
import { newTrends, sinceChange, withReading } from '~/features/align/logic/trends'

const FM = modelSheet('osmund-27f')

describe('pins of a board', () => {
  it('lie on their side; menu values and front controls on none', () => {
    expect(boardPins(FM, 'solder').map(p => p.id)).toEqual(['TP1'])
    expect(boardPins(FM, 'parts').map(p => p.id)).toContain('TP2')
    expect(boardPins(modelSheet('corvid-m6'), 'parts')).toEqual([])
    expect(boardSides(FM)).toEqual(['parts', 'solder'])
    expect(boardSides(modelSheet('osmund-40a'))).toEqual(['parts'])
  })
  it('what is wanted decides the side and the part that is shown', () => {
    expect([sideOf(FM, ['TP1']), sideOf(FM, ['CT2']), sideOf(FM, [])]).toEqual(['solder', 'parts', 'parts'])
    const one = showing(boardPins(FM, 'parts'), ['CT2'])
    expect([one.x, one.y]).toEqual([0.7, 0.16])
    expect(one.scale).toBeGreaterThan(1)
    expect(showing(boardPins(FM, 'parts'), [])).toEqual({ scale: 1, x: 0.5, y: 0.5 })
    expect(showing(boardPins(FM, 'parts'), ['L1', 'L7']).scale).toBe(1)
  })
})

describe('the graph of the steps', () => {
  it.each(SHEETS.map(s => [s.model, s] as const))(
    '%s: every step once, every need an edge that goes to the right',
    (_m, sheet) => {
      const graph = stepGraph(sheet.procedure)!
      expect(graph.nodes).toHaveLength(sheet.procedure.length)
      expect(graph.edges).toHaveLength(sheet.procedure.reduce((n, s) => n + comesAfter(s).length, 0))
      const x = new Map(graph.nodes.map(n => [n.id, n.x]))
      for (const e of graph.edges) expect(x.get(e.from)!).toBeLessThan(x.get(e.to)!)
    },
  )
  it('a ring cannot be drawn', () =>
    expect(stepGraph(FM.procedure.map(s => (s.id === 'A1.3' ? { ...s, needs: ['A1.5'] } : s)))).toBeNull())
})

describe('drift of the bench', () => {
  it('trends keep half a minute of everything and an hour of frequency, thinned out', () => {
    const trends = newTrends()
    for (let i = 0; i < 1000; i++)
      for (const q of ['carrierHz', 'powerW'] as const)
        withReading(trends, q, { atMs: i * 100, value: i, stretch: 'a', alike: 'a' })
    expect(trends.recent.get('powerW')!.length).toBe(301)
    expect(trends.long.get('carrierHz')!.length).toBe(50)
    expect(trends.long.has('powerW')).toBe(false)
  })
  it('a trend begins anew where anything changed', () => {
    const point = (atMs: number, stretch: string) => ({ atMs, value: atMs, stretch, alike: 'a' })
    expect(
      sinceChange([point(1, 'keyed'), point(2, 'unkeyed'), point(3, 'keyed'), point(4, 'keyed')]).map(
        p => p.atMs,
      ),
    ).toEqual([3, 4])
    expect(sinceChange([])).toEqual([])
  })
})

describe('menu values', () => {
  it('are bounded by the stricter of target and limit, and by what the meter cannot tell', () => {
    const asked = { window: { low: 3.6, high: 4, aim: 3.9 }, nominalHz: null, limit: null }
    expect(menuGoal(asked, { ofReading: 0.05, absolute: 0 })).toMatchObject({
      limit: 4,
      boundRatio: 0.05,
      maxCode: 255,
    })
    expect(menuGoal({ ...asked, window: null }, null)).toBeNull()
  })
  it('the way back stands in as found', () => {
    const M6 = modelSheet('corvid-m6')
    const run = runState(M6, ruleSet(M6.defaultRuleSetId), [
      rowTaken('as-found', null, 'menu-01', { menuCode: 0x5e }, { mode: 'AM', channel: null }),
    ])
    const found = matrixState(M6, ruleSet(M6.defaultRuleSetId), run.history, 'as-found')
    const at = (entry: string) => ({ entry, coverage: 'standard' }) as const
    expect([originalCode(found, at('01')), originalCode(found, at('02'))]).toEqual([0x5e, null])
  })
})

describe('an id from a name', () => {
  it.each([
    ['Tern 5', 'tern-5'],
    ['  \u00c4lv\u00e9n 40/B  ', 'alven-40-b'],
    ['***', 'sheet'],
    ['x'.repeat(99), 'x'.repeat(60)],
  ])('"%s" is %s', (name, id) => expect(sheetIdOf(name)).toBe(id))
})
