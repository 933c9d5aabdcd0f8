import { describe, expect, it } from 'vitest'
import {
  amended,
  compareSheets,
  fieldKind,
  fieldValue,
  mirrored,
  modelSheet,
  suggestions,
  withField,
} from '../index'

const FM = modelSheet('osmund-27f')

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
  })
  it('two that the sheet took for each other are exchanged in the circuit, wherever it names them', () => {
    const [exchange] = suggestions(FM, 'step/A1.5/adjusters')
    expect(exchange).toMatchObject({ kind: 'exchange', designators: ['CT3', 'CT2'] })
    expect(exchange!.changes[0]).toMatchObject({ line: 'step/A1.5/adjusters', to: ['CT3'] })
    const after = amended(FM, exchange!.changes)
    expect(fieldValue(after, 'adjuster/CT3/role')).toBe('tx-crystal')
    expect(fieldValue(after, 'adjuster/CT3/caution')).toMatch(/^CT2 beside it sets receive/)
    expect(fieldValue(after, 'adjuster/CT3/where')).toBe(fieldValue(FM, 'adjuster/CT3/where'))
    expect(after.scheme!.oscillators.map(o => o.adjuster)).toEqual(['CT1', 'CT3', 'CT2'])
    expect(amended(after, suggestions(after, 'step/A1.5/adjusters')[0]!.changes)).toEqual(FM)
  })
  it('a step alone that names the wrong one of two names the other', () => {
    const wrong = amended(FM, [{ line: 'step/A1.5/adjusters', from: ['CT2'], to: ['CT3'] }])
    expect(suggestions(wrong, 'step/A1.5/adjusters')[0]).toMatchObject({ kind: 'twin', designators: ['CT2'] })
  })
  it.each([
    ['adjuster/CT2/role', 'nonsense'],
    ['adjuster/CT2/role', null],
    ['adjuster/CT2/raisedBy', 'sideways'],
    ['adjuster/CT2/modes', []],
    ['oscillator/xt/adjuster', ['CT2']],
  ])('%s cannot hold %j either', (line, to) => {
    expect(() => amended(FM, [{ line, from: null, to: to as never }])).toThrowSaying('cannot hold')
  })
  it('what an adjuster no longer says is not there', () => {
    const up = amended(FM, [{ line: 'adjuster/CT2/raisedBy', from: null, to: 'clockwise' }])
    expect(amended(up, [{ line: 'adjuster/CT2/raisedBy', from: 'clockwise', to: null }])).toEqual(FM)
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
