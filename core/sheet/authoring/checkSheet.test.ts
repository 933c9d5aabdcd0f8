import { describe, expect, it } from 'vitest'
import { VARIABLE } from '../../../test/fixtures/variablePower'
import {
  SHEETS,
  SHEET_TEMPLATES,
  TO_BE_FOUND,
  blankSheet,
  checkSheet,
  fromTemplate,
  modelSheet,
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

describe('positions of the power control', () => {
  const control = (lowestPointId: string, highestPointId: string): ModelSheet => ({
    ...VARIABLE,
    powerControls: [{ name: 'Knob', lowestPointId, highestPointId }],
  })
  it('a row is at one of them', () => {
    expect(codes(VARIABLE)).toEqual([])
    const matrix = VARIABLE.matrix.map(p =>
      p.id === 'medium' ? { ...p, state: { ...p.state, lowPower: true } } : p,
    )
    expect(checkSheet({ ...VARIABLE, matrix })).toEqual([
      { code: 'two-power-positions', at: { kind: 'row', name: 'medium', row: null }, names: [] },
    ])
  })
  it.each([
    ['one row twice', 'high-20', 'high-20'],
    ['another channel', 'least', 'high-1'],
    ['a row that reads no power', 'tone-20', 'high-20'],
    ['a row that is not there', 'gone', 'high-20'],
  ])('its ends are two rows of one channel that read a power: %s', (_n, low, high) =>
    expect(checkSheet(control(low, high))).toEqual([
      { code: 'ends-of-control', at: { kind: 'power-control', name: 'Knob', row: null }, names: [] },
    ]),
  )
  it('two of one name are told', () =>
    expect(
      codes({ ...VARIABLE, powerControls: [...VARIABLE.powerControls!, ...VARIABLE.powerControls!] }),
    ).toEqual(['named-twice']))
})
