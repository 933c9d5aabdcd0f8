import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  SHEETS,
  SHEET_TEMPLATES,
  TO_BE_FOUND,
  adjusterReferences,
  amended,
  blankSheet,
  checkSheet,
  comesAfter,
  compareSheets,
  cycleIn,
  fromTemplate,
  inOrder,
  levels,
  fieldKind,
  fieldValue,
  mergeSheets,
  mirrored,
  modelSheet,
  moveStep,
  stepReferences,
  suggestions,
  taking,
  withAdjusterRenamed,
  withField,
  withStepRenamed,
  withoutAdjuster,
  withoutStep,
  type ModelSheet,
  type Step,
} from '../index'

const FM = modelSheet('osmund-27f')
const codes = (sheet: ModelSheet) => checkSheet(sheet).map(p => p.code)
const withStep = (id: string, change: Partial<Step>): ModelSheet => ({
  ...FM,
  procedure: FM.procedure.map(s => (s.id === id ? { ...s, ...change } : s)),
})

describe('what does not hold together', () => {
  it.each(SHEETS.map(s => [s.model, s] as const))('%s: nothing', (_m, sheet) =>
    expect(checkSheet(sheet)).toEqual([]),
  )
  it.each(SHEET_TEMPLATES.map(t => [t.name, t.id] as const))(
    'a new sheet of the family "%s" can be used at once, and says what is not known',
    (_n, id) => {
      const sheet = fromTemplate(id, 'new', 'New set', '2026-11-25')
      expect(checkSheet(sheet)).toEqual([])
      expect(sheet.adjusters.filter(a => a.kind !== 'menu-value').every(a => a.where === TO_BE_FOUND)).toBe(
        true,
      )
      expect(sheet.specification).toEqual([])
      expect(
        JSON.stringify({ ...sheet, scheme: undefined }),
        'no pin, no designator, no place of the example',
      ).not.toMatch(/[Pp]in \d+ of|\bCT\d|\bRV\d|\bVR\d|"x":0\.[1-9]/)
    },
  )
  it('neither is there anything in an empty one', () =>
    expect(checkSheet(blankSheet('b', 'B', '2026-11-25'))).toEqual([]))
  it.each<[string, ModelSheet, string]>([
    ['an adjuster that is not there', withStep('A1.5', { adjusters: ['CT9'] }), 'unknown-adjuster'],
    ['a step that is not there', withStep('A1.5', { needs: ['A9.9'] }), 'unknown-step'],
    ['steps that wait for each other', withStep('A1.3', { needs: ['A1.5'] }), 'waits-for-itself'],
    ['a step before what it needs', { ...FM, procedure: [...FM.procedure].reverse() }, 'needs-later'],
    ['a name given twice', { ...FM, adjusters: [...FM.adjusters, FM.adjusters[0]!] }, 'named-twice'],
    ['a step without rows', withStep('A1.5', { points: [] }), 'no-points'],
    ['no procedure', { ...FM, procedure: [] }, 'no-steps'],
    ['no matrix', { ...FM, matrix: [] }, 'no-matrix'],
    ['an unknown plan', { ...FM, planId: 'moon' }, 'unknown-plan'],
    [
      'a channel outside its plan',
      { ...FM, matrix: FM.matrix.map(p => ({ ...p, state: { ...p.state, channel: 41 } })) },
      'unknown-channel',
    ],
    [
      'a condition on what is not measured',
      withStep('A1.9', { criterion: { kind: 'spread', quantity: 'pepW', maxDb: 1 } }),
      'not-measured-here',
    ],
    [
      'a window upside down',
      {
        ...FM,
        matrix: [
          {
            ...FM.matrix[1]!,
            wants: [
              {
                quantity: 'powerW',
                judgeLimit: true,
                target: { kind: 'window', window: { low: 5, high: 4, aim: null } },
              },
            ],
          },
        ],
      },
      'window-upside-down',
    ],
    [
      'an oscillator that is not there',
      { ...FM, scheme: { ...FM.scheme!, oscillators: [] } },
      'unknown-oscillator',
    ],
  ])('%s', (_what, sheet, code) => expect(codes(sheet)).toContain(code))
})

describe('order', () => {
  it('a ring is told step by step', () => {
    expect(cycleIn(withStep('A1.3', { needs: ['A1.5'] }).procedure)).toEqual(['A1.3', 'A1.5'])
    expect(() => inOrder(withStep('A1.3', { needs: ['A1.5'] }).procedure)).toThrowSaying(
      'A1.3, A1.5 depend on each other',
    )
  })
  it('any shuffle of steps comes back into an order in which needs come first', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...FM.procedure], { minLength: FM.procedure.length }), steps => {
        const ids = inOrder(steps).map(s => s.id)
        for (const s of steps)
          for (const before of comesAfter(s)) expect(ids.indexOf(before)).toBeLessThan(ids.indexOf(s.id))
        expect([...ids].sort()).toEqual(steps.map(s => s.id).sort())
      }),
      { numRuns: 200 },
    )
  })
  it('an order that is right stays as it was written', () =>
    expect(inOrder(FM.procedure).map(s => s.id)).toEqual(FM.procedure.map(s => s.id)))
  it('a step is moved by hand where the needs leave it open, and refused with its reason elsewhere', () => {
    const at = (id: string) => FM.procedure.findIndex(s => s.id === id)
    const moved = moveStep(FM.procedure, at('A1.13'), at('A1.7'))
    expect(Array.isArray(moved) && moved.map(s => s.id).indexOf('A1.13')).toBe(at('A1.7'))
    expect(moveStep(FM.procedure, at('A1.13'), 0)).toMatchObject({ why: 'needs-it', other: { id: 'A1.5' } })
    expect(moveStep(FM.procedure, at('A1.3'), at('A1.15'))).toMatchObject({
      why: 'is-needed',
      other: { id: 'A1.4' },
    })
  })
  it('levels are the longest way from a step that needs nothing', () => {
    const l = levels(FM.procedure)
    expect([l.get('A1.0'), l.get('A1.3'), l.get('A1.5'), l.get('A1.15')]).toEqual([0, 1, 2, 7])
  })
})

describe('corrections', () => {
  it('change one line and nothing else', () => {
    const fixed = amended(FM, [
      { line: 'adjuster/CT2/where', from: 'right of the two trimmers', to: 'left of the two trimmers' },
    ])
    expect(compareSheets(FM, fixed)).toEqual([
      {
        part: 'adjusters',
        name: 'CT2',
        field: 'where',
        before: 'right of the two trimmers',
        after: 'left of the two trimmers',
      },
    ])
    expect(fixed.procedure).toBe(FM.procedure)
  })
  it('of a step\u2019s adjuster are refused when the sheet has none of that name', () => {
    expect(() => amended(FM, [{ line: 'step/A1.5/adjusters', from: ['CT2'], to: ['CT7'] }])).toThrowSaying(
      'does not fit',
    )
    expect(
      amended(FM, [{ line: 'step/A1.5/adjusters', from: ['CT2'], to: ['CT3'] }]).procedure.find(
        s => s.id === 'A1.5',
      )!.adjusters,
    ).toEqual(['CT3'])
  })
  it.each([
    ['adjuster/CT2/where', ''],
    ['adjuster/CT2/where', 5],
    ['step/A1.5/keyDownLimitS', -1],
    ['adjuster/CT2/board', { x: 2, y: 0 }],
    ['step/A1.5/adjusters', 'CT2'],
  ])('%s cannot hold %j', (line, to) => {
    expect(() => amended(FM, [{ line, from: null, to: to as never }])).toThrowSaying('cannot hold')
  })
  it.each(['adjuster/CT2', 'adjuster/CT2/kind', 'adjuster/CT99/where', 'nothing/x/y', 'step/A1.5/points'])(
    '"%s" is no field',
    path => expect(() => withField(FM, path, 'x')).toThrowSaying(/not a field|has no/),
  )
  it('keep names with strokes in them apart', () => {
    const sheet = { ...FM, specification: [{ what: 'Tx/Rx offset', value: '0 Hz', source: 's' }] }
    expect(fieldValue(sheet, 'specification/Tx/Rx offset/value')).toBe('0 Hz')
    expect(fieldKind('specification/Tx/Rx offset/value')).toBe('text')
  })
  it('a likely one is offered: the other side, the twin\u2019s place, the twin itself', () => {
    const [other, swap] = suggestions(FM, 'adjuster/CT2/where')
    expect(other).toMatchObject({ kind: 'opposite', changes: [{ to: 'left of the two trimmers' }] })
    expect(swap).toMatchObject({ kind: 'swap', designators: ['CT2', 'CT3'] })
    const swapped = amended(FM, swap!.changes)
    expect(fieldValue(swapped, 'adjuster/CT3/board')).toEqual(fieldValue(FM, 'adjuster/CT2/board'))
    expect(suggestions(FM, 'step/A1.5/adjusters').map(s => s.designators)).toContainEqual(['CT3'])
  })
  it.each([
    ['clockwise raises, 270\u00b0', 'anticlockwise raises, 270\u00b0'],
    ['Inwards lowers', 'Outwards lowers'],
    ['Left of the can', 'Right of the can'],
    ['beside IC2', null],
  ])('"%s" the other way', (words, other) => expect(mirrored(words)).toBe(other))
  it('mirrored twice is what it was', () => {
    for (const words of FM.adjusters.flatMap(a => [a.where, a.turn]))
      if (mirrored(words) !== null) expect(mirrored(mirrored(words)!)).toBe(words)
  })
})

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

describe('renaming and removing', () => {
  it('a designator carries through steps, oscillators and rows', () => {
    const renamed = withAdjusterRenamed(FM, 'CT2', 'TC7')
    expect(checkSheet(renamed)).toEqual([])
    expect(JSON.stringify(renamed.procedure.map(s => s.adjusters))).not.toContain('CT2')
    expect(renamed.scheme!.oscillators.map(o => o.adjuster)).toContain('TC7')
  })
  it('a step carries through needs, skips and targets', () => {
    const renamed = withStepRenamed(FM, 'A1.10', 'P10')
    expect(checkSheet(renamed)).toEqual([])
    expect(JSON.stringify(renamed.procedure)).not.toContain('"A1.10"')
  })
  it('what refers to it is named, and taken out with it', () => {
    expect(adjusterReferences(FM, 'CT2')).toEqual([
      { at: 'step', name: 'A1.5' },
      { at: 'oscillator', name: expect.any(String) as string },
    ])
    expect(checkSheet(withoutAdjuster(FM, 'CT2'))).toEqual([])
    expect(stepReferences(FM, 'A1.10').map(r => r.name)).toContain('A1.15')
    expect(checkSheet(withoutStep(FM, 'A1.10'))).toEqual([])
  })
})

describe('two people on one sheet', () => {
  const where = (sheet: ModelSheet, d: string) => sheet.adjusters.find(a => a.designator === d)!.where
  const with_ = (sheet: ModelSheet, d: string, part: object): ModelSheet => ({
    ...sheet,
    adjusters: sheet.adjusters.map(a => (a.designator === d ? { ...a, ...part } : a)),
  })
  it('what only one of them changed is put together', () => {
    const { merged, conflicts, taken } = mergeSheets(FM, with_(FM, 'CT2', { where: 'mine' }), {
      ...with_(FM, 'CT1', { where: 'theirs' }),
      revision: 2,
    })
    expect([where(merged, 'CT2'), where(merged, 'CT1'), conflicts, taken, merged.revision]).toEqual([
      'mine',
      'theirs',
      [],
      1,
      2,
    ])
  })
  it('what both changed is told field by field, and stands as theirs until mine is taken', () => {
    const mine = with_(FM, 'CT2', { where: 'mine' })
    const { merged, conflicts } = mergeSheets(FM, mine, with_(FM, 'CT2', { where: 'theirs', turn: 'other' }))
    expect(conflicts).toEqual([
      {
        part: 'adjusters',
        name: 'CT2',
        field: 'where',
        base: where(FM, 'CT2'),
        mine: 'mine',
        theirs: 'theirs',
      },
    ])
    expect(where(merged, 'CT2')).toBe('theirs')
    const taken = taking(merged, mine, conflicts[0]!)
    expect([where(taken, 'CT2'), taken.adjusters.find(a => a.designator === 'CT2')!.turn]).toEqual([
      'mine',
      'other',
    ])
  })
  it('the same change by both is none', () =>
    expect(
      mergeSheets(FM, with_(FM, 'CT2', { where: 'x' }), with_(FM, 'CT2', { where: 'x' })).conflicts,
    ).toEqual([]))
  it('an entry that one took out and the other changed is a conflict; a new one is added', () => {
    const without = withoutAdjuster(FM, 'CT2')
    expect(
      mergeSheets(FM, without, with_(FM, 'CT2', { where: 'theirs' })).conflicts.map(c => [c.name, c.field]),
    ).toContainEqual(['CT2', ''])
    const more = { ...FM, adjusters: [...FM.adjusters, { ...FM.adjusters[0]!, designator: 'CT9' }] }
    expect(
      mergeSheets(FM, more, with_(FM, 'CT1', { where: 'theirs' })).merged.adjusters.map(a => a.designator),
    ).toContain('CT9')
  })
})
