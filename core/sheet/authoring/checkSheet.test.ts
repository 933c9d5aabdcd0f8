import { describe, expect, it } from 'vitest'
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
