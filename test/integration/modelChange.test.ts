import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { modelSheet, type ModelSheet } from '../../core/sheet'
import type { JobRecord } from '../../core/record'
import type { ModelHistory, SearchResult } from '../../shared/search'
import { freshRow } from '../fixtures/freshRow'
import { INTAKE, testHouse, type TestHouse } from './house'

/** A job is measured by the sheet of another model from some moment on. */
let house: TestHouse
const BASIC = modelSheet('larkfield-lx8')
const MOSFET = modelSheet('larkfield-lx8m')
const FM = modelSheet('osmund-27f')

beforeAll(async () => {
  house = await testHouse()
}, 240_000)
afterAll(() => house?.stop())

const ref = ({ id, revision }: ModelSheet) => ({ sheetId: id, sheetRevision: revision })
const stamp = () => ({ id: randomUUID(), atMs: Date.now() })
const changed = (because: string, from: ModelSheet, to: ModelSheet) => ({
  ...stamp(),
  kind: 'model-changed',
  because,
  from: ref(from),
  to: ref(to),
  reason: '',
})
const amPoint = BASIC.matrix.find(p => p.state.mode === 'AM' && p.wants.some(w => w.quantity === 'powerW'))!
const row = (phase: 'as-found' | 'as-left', powerW: number) => freshRow(BASIC, phase, amPoint.id, { powerW })
const post = (jobId: string, event: unknown) => house.request('POST', `/api/jobs/${jobId}/events`, event)
async function begun(sheet: ModelSheet): Promise<string> {
  const id = randomUUID()
  const body = { ...INTAKE, id, sheetId: sheet.id, ruleSetId: sheet.defaultRuleSetId, serial: id.slice(0, 8) }
  expect((await house.request('POST', '/api/jobs', body)).status).toBe(201)
  return id
}
const spreadOf = async (sheet: ModelSheet) => {
  const { body } = await house.request('GET', `/api/models/${sheet.id}/history`)
  const cells = (body as ModelHistory).spread
  return cells.find(c => c.pointId === amPoint.id && c.quantity === 'powerW')?.count ?? 0
}

describe('a conversion', () => {
  it('keeps what was found by the old sheet, and counts it to the old model', async () => {
    const before = [await spreadOf(BASIC), await spreadOf(MOSFET)]
    const id = await begun(BASIC)
    await post(id, row('as-found', 13))
    const change = changed('conversion', BASIC, MOSFET)
    expect((await post(id, change)).status).toBe(201)
    expect((await post(id, change)).status, 'its answer was lost').toBe(200)
    expect((await post(id, row('as-left', 18))).status).toBe(201)
    const { body } = await house.request('GET', `/api/jobs/${id}`)
    expect(body).toMatchObject({
      job: { sheetId: MOSFET.id, sheetRevision: MOSFET.revision },
      sheet: { id: MOSFET.id },
      found: { id: BASIC.id },
    })
    const record = (await house.request('GET', `/api/jobs/${id}/record.json`)).body as JobRecord
    expect([record.sheet.id, record.foundSheet?.id]).toEqual([MOSFET.id, BASIC.id])
    const power = record.comparison.find(c => c.row === amPoint.id && c.quantity === 'powerW')!
    expect([power.before?.value, power.after?.value]).toEqual([13, 18])
    expect([await spreadOf(BASIC), await spreadOf(MOSFET)]).toEqual([before[0]! + 1, before[1]])
    const csv = String((await house.request('GET', `/api/jobs/${id}/record.csv`)).body)
    expect(csv.split('\r\n').filter(l => l.includes('as-found') || l.includes('as-left'))).toHaveLength(2)
    const found = await house.request('GET', `/api/search?sheetId=${MOSFET.id}`)
    expect((found.body as SearchResult).jobs.map(j => j.id)).toContain(id)
    expect((await post(id, { ...stamp(), kind: 'handed-over', text: '' })).status).toBe(201)
    expect(await post(id, changed('wrong-model', MOSFET, FM))).toMatchObject({
      status: 409,
      error: { code: 'handed-over' },
    })
    const paper = await fetch(`${house.address}/api/jobs/${id}/handover.pdf?copy=owner`)
    expect(paper.status).toBe(200)
  })
})

describe('a set that comes back after its conversion', () => {
  it('is known by its serial number under the model that it is, and under the one that it came as', async () => {
    const first = await begun(BASIC)
    const { job } = (await house.request('GET', `/api/jobs/${first}`)).body as { job: { serial: string } }
    await post(first, changed('conversion', BASIC, MOSFET))
    const earlier = async (sheet: ModelSheet) => {
      const { body } = await house.request(
        'GET',
        `/api/jobs/earlier?sheetId=${sheet.id}&serial=${job.serial}`,
      )
      return (body as { job: { id: string } }[]).map(e => e.job.id)
    }
    expect(await earlier(MOSFET)).toEqual([first])
    expect(await earlier(BASIC)).toEqual([first])
    expect(await earlier(FM)).toEqual([])
    const before = await begun(BASIC)
    await house.request('PATCH', `/api/jobs/${before}`, { version: 1, serial: job.serial })
    expect(await earlier(MOSFET)).toEqual([before, first])
  })
})

describe('a wrong model', () => {
  it('does not take what another screen still entered by the old sheet; a note it takes', async () => {
    const id = await begun(BASIC)
    await post(id, changed('wrong-model', BASIC, MOSFET))
    const send = async (event: object, madeBy: string) =>
      (
        await fetch(`${house.address}/api/jobs/${id}/events`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', 'x-made-by-sheet': madeBy },
          body: JSON.stringify(event),
        })
      ).status
    const late = row('as-found', 13)
    expect(await send(late, BASIC.id)).toBe(409)
    expect(await send(late, MOSFET.id)).toBe(201)
    expect(await send(late, BASIC.id), 'it is there').toBe(200)
    const note = { ...stamp(), kind: 'note', stepId: null, text: 'the seal was gone' }
    expect(await send(note, BASIC.id)).toBe(201)
  })
  it('is put right; rows of the wrong sheet are refused from then on, and the change is never struck out', async () => {
    const id = await begun(BASIC)
    const early = row('as-found', 13)
    await post(id, early)
    const change = changed('wrong-model', BASIC, FM)
    expect((await post(id, change)).status).toBe(201)
    expect((await post(id, early)).status, 'sent once more it is the same entry').toBe(200)
    expect((await post(id, row('as-found', 14))).status).toBe(422)
    const strike = { ...stamp(), kind: 'event-struck', eventId: change.id, reason: 'no' }
    expect(await post(id, strike)).toMatchObject({ status: 409, error: { code: 'cannot-be-struck' } })
    expect((await house.request('GET', `/api/jobs/${id}/record.json`)).status).toBe(200)
    expect((await post(id, changed('wrong-model', FM, BASIC))).status).toBe(201)
    const record = (await house.request('GET', `/api/jobs/${id}/record.json`)).body as JobRecord
    expect(record.comparison.filter(c => c.before !== null)).toHaveLength(1)
  })
  it('of two who put it right at once one is told', async () => {
    const id = await begun(BASIC)
    const answers = await Promise.all([
      post(id, changed('wrong-model', BASIC, FM)),
      post(id, changed('wrong-model', BASIC, MOSFET)),
    ])
    expect(answers.map(a => a.status).sort()).toEqual([201, 409])
    expect((await post(id, changed('wrong-model', BASIC, BASIC))).status).toBe(409)
    const { body } = await house.request('GET', `/api/jobs/${id}`)
    const { sheet } = body as { sheet: ModelSheet }
    expect(await post(id, changed('wrong-model', sheet, sheet))).toMatchObject({ status: 400 })
    const unknown = { ...changed('wrong-model', sheet, FM), to: { sheetId: 'none', sheetRevision: 1 } }
    expect((await post(id, unknown)).status).toBe(422)
  })
})
