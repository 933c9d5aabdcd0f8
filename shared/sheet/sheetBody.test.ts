import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import Ajv from 'ajv'
import { describe, expect, it } from 'vitest'
import { OWN_PLAN, bandsLike, channelPlan, type PlanBand } from '#core/rules'
import { SHEETS, SHEET_TEMPLATES, blankSheet, changePlan, fromTemplate, modelSheet } from '#core/sheet'
import { VARIABLE } from '../../test/fixtures/variablePower'
import { SHEET_FILE_FORMAT, SHEET_FILE_VERSION, sheetFileBody } from '../sheetFile'
import { sheetBody } from './sheetBody'

const schema = JSON.parse(
  readFileSync(join(import.meta.dirname, '..', '..', 'docs', 'formats', 'model-sheet.schema.json'), 'utf8'),
) as object
const valid = new Ajv({ allErrors: true, allowUnionTypes: true }).compile(schema)
const plain = (sheet: unknown) => JSON.parse(JSON.stringify(sheet)) as Record<string, unknown>
const file = (sheet: unknown) => ({
  format: SHEET_FILE_FORMAT,
  version: SHEET_FILE_VERSION,
  revisions: [{ sheet, who: 'Ida', reason: 'first', changes: [], revisedAtMs: 0 }],
  pictures: [],
})
const takes = (sheet: unknown) =>
  sheetBody.validate(sheet, { strict: true }).then(
    () => null,
    (e: Error) => e.message,
  )
const BANDS = bandsLike(channelPlan('six-band')).map((b, i): PlanBand =>
  i === 0 ? { ...b, modes: ['AM', 'FM', 'USB', 'LSB'], edgesHz: { low: 25e6, high: 26.1e6 } } : b,
)
const OWN = changePlan(modelSheet('larkfield-lx8'), { planId: OWN_PLAN, bands: BANDS })
const FM = () => plain(modelSheet('osmund-27f'))
const all = [
  ...SHEETS,
  ...SHEET_TEMPLATES.map(t => fromTemplate(t.id, `new-${t.id}`, t.name, '2026-11-25')),
  blankSheet('blank', 'Blank', '2026-11-25'),
  OWN,
  VARIABLE,
]

describe('the schema of a sheet and the schema in the documentation', () => {
  it.each(all.map(s => [s.model, s] as const))('both take %s', async (_m, sheet) => {
    expect(await takes(plain(sheet))).toBeNull()
    valid(file(plain(sheet)))
    expect(valid.errors).toBeNull()
    await expect(sheetFileBody.validate(file(plain(sheet)), { strict: true })).resolves.toBeTruthy()
  })
  const wrong: [string, (s: Record<string, unknown>) => unknown, RegExp][] = [
    ['an unknown field', s => ({ ...s, colour: 'red' }), /Unknown field: colour/],
    ['an id with letters no path carries', s => ({ ...s, id: '../x' }), /Id:/],
    ['a kind that is none', s => ({ ...s, kind: 'television' }), /Kind of set/],
    ['a number as text', s => ({ ...s, nominalSupplyV: '13.8' }), /Supply/],
    [
      'an adjuster beside the board',
      s => ({ ...s, adjusters: [{ ...(s.adjusters as object[])[0]!, board: { x: 3, y: 0 } }] }),
      /Position, across/,
    ],
    [
      'a target of no kind',
      s => ({
        ...s,
        matrix: [
          {
            ...(s.matrix as object[])[0]!,
            wants: [{ quantity: 'powerW', judgeLimit: true, target: { kind: 'magic' } }],
          },
        ],
      }),
      /"magic" is not a known kind/,
    ],
    [
      'a target with a stray field',
      s => ({
        ...s,
        matrix: [
          {
            ...(s.matrix as object[])[0]!,
            wants: [
              {
                quantity: 'powerW',
                judgeLimit: true,
                target: { kind: 'window', window: { low: 1, high: 2, aim: null }, x: 1 },
              },
            ],
          },
        ],
      }),
      /Unknown field: x/,
    ],
    [
      'a band of one’s own without its edges',
      s => ({ ...s, planId: OWN_PLAN, bands: [{ ...BANDS[0], edgesHz: undefined }] }),
      /edgesHz/,
    ],
    [
      'channels of no kind',
      s => ({ ...s, planId: OWN_PLAN, bands: [{ ...BANDS[0], channels: { kind: 'comb', firstHz: 1 } }] }),
      /"comb" is not a known kind/,
    ],
    [
      'a frequency below nothing',
      s => ({
        ...s,
        planId: OWN_PLAN,
        bands: [{ ...BANDS[0], channels: { kind: 'list', frequenciesHz: [-7e6] } }],
      }),
      /Frequency/,
    ],
    ['no matrix', s => ({ ...s, matrix: undefined }), /matrix/],
  ]
  it.each(wrong)('both refuse %s', async (_what, change, words) => {
    const sheet = change(FM())
    expect(await takes(sheet)).toMatch(words)
    expect(valid(file(plain(sheet)))).toBe(false)
  })
  it('what only the application can tell is told in words', async () => {
    const sheet = FM()
    const steps = sheet.procedure as { id: string; needs: string[] }[]
    steps.find(s => s.id === 'A1.3')!.needs = ['A1.5']
    expect(await takes(sheet)).toMatch(/comes later|in a loop/)
  })
  it('another program\u2019s file is no sheet', async () => {
    await expect(sheetFileBody.validate({ ...file(FM()), format: 'x' }, { strict: true })).rejects.toThrow(
      'not a service sheet of this program',
    )
    await expect(sheetFileBody.validate({ ...file(FM()), version: 2 }, { strict: true })).rejects.toThrow(
      'newer version',
    )
  })
})
