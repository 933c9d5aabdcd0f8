import { randomUUID } from 'node:crypto'
import { extractText, getDocumentProxy } from 'unpdf'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { OWN_PLAN, type PlanBand } from '../../core/rules'
import type { JobRecord } from '../../core/record'
import { changePlan, fromTemplate, type ModelSheet } from '../../core/sheet'
import type { SheetSummary } from '../../shared/sheetFile'
import { freshRow } from '../fixtures/freshRow'
import { INTAKE, testHouse, type TestHouse } from './house'

/** A set with channels of its own: the forty at home, and an FM band of another plan on the same switch. */
let house: TestHouse
beforeAll(async () => {
  house = await testHouse({ demo: false })
}, 240_000)
afterAll(() => house?.stop())

const BANDS: readonly PlanBand[] = [
  {
    name: 'home',
    channels: { kind: 'list', frequenciesHz: [26_965_000, 27_185_000, 27_405_000] },
    edgesHz: null,
    modes: ['AM', 'FM'],
    receiveOffsetHz: 0,
  },
  {
    name: 'FM-UK',
    channels: {
      kind: 'raster',
      firstHz: 27_601_250,
      lastHz: 27_991_250,
      stepHz: 10_000,
      leftOutHz: [],
    },
    edgesHz: { low: 27_600_000, high: 28_000_000 },
    modes: ['FM'],
    receiveOffsetHz: 0,
  },
]
const HOME_19 = 2
const UK_20 = 23

/** Two rows beside those of its family: the same carrier on either band. */
function twoPlans(): ModelSheet {
  const family = changePlan(fromTemplate('am-mobile', 'heron-7', 'Heron 7', '2026-11-30'), {
    planId: OWN_PLAN,
    bands: BANDS,
  })
  const like = family.matrix.find(p => p.state.keyed && p.wants.some(w => w.quantity === 'carrierHz'))!
  const on = (id: string, title: string, channel: number): typeof like => ({
    ...like,
    id,
    title,
    state: { ...like.state, mode: 'FM', channel, toneHz: null },
    wants: [
      { quantity: 'powerW', target: null, judgeLimit: true },
      {
        quantity: 'carrierHz',
        target: { kind: 'channel-error', lowHz: -200, highHz: 200, aimHz: 0 },
        judgeLimit: true,
      },
    ],
  })
  return {
    ...family,
    main: { ...family.main, mode: 'FM', fromChannel: 1, toChannel: 3 },
    defaultRuleSetId: 'R-EU',
    matrix: [on('home-19', 'Home, channel 19', HOME_19), on('uk-20', 'FM-UK, channel 20', UK_20)],
    procedure: family.procedure.slice(0, 1).map(s => ({
      ...s,
      adjusters: [],
      needs: [],
      criterion: null,
      points: [on('p', 'Home', HOME_19)],
    })),
    adjusters: [],
    owed: [],
    scheme: undefined!,
  }
}
const plain = (sheet: ModelSheet) => JSON.parse(JSON.stringify(sheet)) as ModelSheet
const SHEET = plain(twoPlans())
const save = (sheet: ModelSheet) =>
  house.request('POST', '/api/sheets', { sheet, who: 'Ida', reason: 'new model' })
const rowOf = (phase: 'as-found' | 'as-left', pointId: string, powerW: number, carrierHz: number) =>
  freshRow(SHEET, phase, pointId, { powerW, carrierHz })
async function begun(): Promise<string> {
  const id = randomUUID()
  const body = { ...INTAKE, id, sheetId: SHEET.id, ruleSetId: 'R-EU', serial: 'H7-1' }
  expect((await house.request('POST', '/api/jobs', body)).status).toBe(201)
  return id
}

describe('a sheet with channels of its own', () => {
  it('is kept, listed with its channels, and travels as a file', async () => {
    expect(await save(SHEET)).toMatchObject({ status: 201 })
    const list = (await house.request('GET', '/api/sheets')).body as SheetSummary[]
    expect(list.find(s => s.id === SHEET.id)).toMatchObject({ planId: OWN_PLAN, bands: BANDS })
    const file = (await house.request('GET', `/api/sheets/${SHEET.id}/file.json`)).body
    expect(await house.request('POST', '/api/sheets/import', file)).toMatchObject({
      status: 200,
      body: { kind: 'same' },
    })
  })
  it.each([
    ['none at all', [], /has no bands/],
    [
      'a raster that is upside down',
      [{ ...BANDS[1]!, channels: { ...BANDS[1]!.channels, lastHz: 1e6 } }],
      /no channel/,
    ],
    [
      'a channel beyond its edges',
      [{ ...BANDS[1]!, edgesHz: { low: 27.7e6, high: 28e6 } }],
      /27.60125 MHz lies outside/,
    ],
  ])('is refused in words with %s', async (_, bands, words) => {
    const wrong = { ...SHEET, id: 'heron-8', bands, main: SHEET.main } as ModelSheet
    const { status, error } = await save(wrong)
    expect(status).toBe(400)
    expect(error?.message).toMatch(words)
  })
})

describe('a job on it', () => {
  it('is judged on the channels that its rules are about, and on paper each is called by its name', async () => {
    const id = await begun()
    const events = [
      rowOf('as-found', 'home-19', 4.6, 27_185_061),
      rowOf('as-found', 'uk-20', 3.5, 27_791_312),
      {
        id: randomUUID(),
        atMs: Date.now(),
        kind: 'unlisted-turned',
        name: 'VR1',
        role: 'carrier-preset',
        startPosition: '',
      },
      rowOf('as-left', 'home-19', 3.6, 27_185_061),
      rowOf('as-left', 'uk-20', 5.2, 27_791_312),
    ]
    for (const e of events)
      expect(await house.request('POST', `/api/jobs/${id}/events`, e)).toMatchObject({ status: 201 })
    const record = (await house.request('GET', `/api/jobs/${id}/record.json`)).body as JobRecord
    const verdicts = record.comparison.map(c => [c.row, c.quantity, c.before?.verdict, c.after?.verdict])
    expect(verdicts).toEqual([
      ['home-19', 'powerW', 'above', 'inside'],
      ['home-19', 'carrierHz', 'inside', 'inside'],
      // R-EU says nothing of this channel, and the sheet asks for nothing: read, and not judged.
      ['uk-20', 'powerW', null, null],
      ['uk-20', 'carrierHz', 'inside', 'inside'],
    ])
    const csv = String((await house.request('GET', `/api/jobs/${id}/record.csv`)).body)
    expect(csv).toContain('23,FM-UK 20,27791250')
    expect(
      (
        await house.request('POST', `/api/jobs/${id}/events`, {
          id: randomUUID(),
          atMs: Date.now(),
          kind: 'handed-over',
          text: '',
        })
      ).status,
    ).toBe(201)
    const paper = async (copy: 'owner' | 'shop') => {
      const pdf = await fetch(`${house.address}/api/jobs/${id}/handover.pdf?copy=${copy}`)
      const document = await getDocumentProxy(new Uint8Array(await pdf.arrayBuffer()))
      return (await extractText(document, { mergePages: true })).text
    }
    const text = await paper('shop')
    expect(text).toContain('FM-UK, channel 20')
    // 5.2 W lies outside of nothing that R-EU says of this channel.
    expect(text).not.toMatch(/5\.20?\s*W[^.]*(above|outside)/i)
    // No step was finished and nothing mended, but something was turned: that is work.
    expect(await paper('owner')).toMatch(/Work done\s+Adjusted: VR1/)
  })
})
