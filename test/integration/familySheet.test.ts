import { randomUUID } from 'node:crypto'
import { extractText, getDocumentProxy } from 'unpdf'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import type { ModelSheet } from '../../core/sheet'
import type { Job } from '../../shared/job'
import type { ModelHistory } from '../../shared/search'
import type { SheetView } from '../../shared/sheetFile'
import { freshRow } from '../fixtures/freshRow'
import { INTAKE, testHouse, type TestHouse } from './house'

/** A set without a sheet is taken in at once, and the job follows the sheet that its model gets later. */
let house: TestHouse
beforeAll(async () => {
  house = await testHouse({ demo: false })
}, 240_000)
afterAll(() => house?.stop())

const MODEL = { model: 'Heron Nine', family: 'fm-three-crystal' }
const body = (part: object = {}) => ({
  ...INTAKE,
  id: randomUUID(),
  sheetId: 'heron-nine',
  ruleSetId: 'R-UK27',
  newModel: MODEL,
  ...part,
})
const book = (b: object) => house.request('POST', '/api/jobs', b)
const sheetOf = async (id: string) => (await house.request('GET', `/api/sheets/${id}`)).body as SheetView
const post = (jobId: string, event: object) =>
  house.request('POST', `/api/jobs/${jobId}/events`, { id: randomUUID(), atMs: Date.now(), ...event })
const opened = async (jobId: string) =>
  (await house.request('GET', `/api/jobs/${jobId}`)).body as {
    job: Job
    sheet: ModelSheet
    events: JobEvent[]
  }
const row = (sheet: ModelSheet, powerW: number) =>
  freshRow(sheet, 'as-found', sheet.matrix.find(p => p.wants.some(w => w.quantity === 'powerW'))!.id, {
    powerW,
  })

describe('a set without a sheet', () => {
  it('is booked in on that of its family, marked as such; the same press again makes neither twice', async () => {
    const first = body()
    expect(await book(first)).toMatchObject({
      status: 201,
      body: { sheetId: 'heron-nine', sheetRevision: 1 },
    })
    expect(await book(first)).toMatchObject({ status: 201, body: { id: first.id } })
    const { sheet, revisions } = await sheetOf('heron-nine')
    expect(sheet).toMatchObject({ model: 'Heron Nine', family: 'fm-three-crystal', kind: 'fm-mobile' })
    expect(revisions).toHaveLength(1)
    expect(await book(body({ serial: 'second' }))).toMatchObject({ status: 201 })
    expect((await sheetOf('heron-nine')).newest).toBe(1)
  })
  it.each([
    ['a family that is none', { newModel: { ...MODEL, family: 'toaster' } }, 400, /Family/],
    ['a family of work', { newModel: { ...MODEL, family: 'converted-final' } }, 400, /Family/],
    ['no name', { newModel: { ...MODEL, model: ' ' } }, 400, /Model/],
    ['an id that no path carries', { sheetId: '../x' }, 400, /small letters/],
    ['the id of another model', { sheetId: 'osmund-27f' }, 409, /exists/],
    ['the id of another model of one’s own', { newModel: { ...MODEL, model: 'Heron 9' } }, 409, /exists/],
    ['a model that nobody knows, and no family', { sheetId: 'heron-ten', newModel: null }, 422, /heron-ten/],
  ])('is refused in words with %s', async (_, part, status, words) => {
    const answer = await book(body(part))
    expect(answer.status).toBe(status)
    expect(answer.error?.message).toMatch(words)
  })
  it('leaves no sheet behind where the job is refused', async () => {
    expect(
      (
        await book(
          body({ sheetId: 'plover-1', ruleSetId: 'R-NONE', newModel: { ...MODEL, model: 'Plover 1' } }),
        )
      ).status,
    ).toBe(422)
    expect(await house.request('GET', '/api/sheets/plover-1')).not.toMatchObject({ status: 200 })
  })
})

describe('two at one moment, and a job that is refused', () => {
  const of = (id: string, family: string) => ({
    sheetId: id,
    newModel: { model: id.replace('-', ' '), family },
  })
  it('a model that two book in together gets one sheet', async () => {
    const both = await Promise.all([0, 1].map(() => book(body(of('plover-3', 'am-mobile')))))
    expect(both.map(b => b.status)).toEqual([201, 201])
    expect((await sheetOf('plover-3')).revisions).toHaveLength(1)
  })
  it('what was undone is not remembered: the next one chooses the family anew', async () => {
    const { contact: _contact, ...incomplete } = body(of('plover-2', 'am-mobile'))
    expect((await book(incomplete)).status).toBe(409)
    expect((await book(body(of('plover-2', 'cw-kit')))).status).toBe(201)
    expect((await sheetOf('plover-2')).sheet.family).toBe('cw-kit')
  })
})

describe('its own sheet, later', () => {
  const changed = (from: ModelSheet, revision: number, sheetId = from.id) => ({
    kind: 'model-changed',
    because: 'own-sheet',
    from: { sheetId: from.id, sheetRevision: from.revision },
    to: { sheetId, sheetRevision: revision },
    reason: '',
  })
  const count = async (sheetId: string) =>
    ((await house.request('GET', `/api/models/${sheetId}/history`)).body as ModelHistory).spread
      .filter(c => c.quantity === 'powerW')
      .reduce((n, c) => n + c.count, 0)
  it('is followed by the job: what was read stays as found, and the paper says what it is measured by', async () => {
    const first = body({ serial: 'H9-3' })
    await book(first)
    const { sheet } = await opened(first.id)
    expect((await post(first.id, row(sheet, 3.1))).status).toBe(201)
    const paper = async () => {
      const pdf = await fetch(`${house.address}/api/jobs/${first.id}/handover.pdf?copy=owner`)
      const document = await getDocumentProxy(new Uint8Array(await pdf.arrayBuffer()))
      return (await extractText(document, { mergePages: true })).text
    }
    expect(await paper()).toMatch(/sheet of Heron Nine was begun from that of its family/)
    const { family: _family, ...known } = sheet
    const own = { ...known, load: 'dry load, 50 ohm' }
    expect(
      (
        await house.request('PUT', '/api/sheets/heron-nine', {
          from: 1,
          sheet: own,
          who: 'Ida',
          reason: 'checked',
        })
      ).status,
    ).toBe(200)
    // The job stays on what it began with until somebody says so.
    expect((await opened(first.id)).sheet.family).toBe('fm-three-crystal')
    expect((await post(first.id, changed(sheet, 2))).status).toBe(201)
    const after = await opened(first.id)
    expect(after.job.sheetRevision).toBe(2)
    expect(after.sheet.family).toBeUndefined()
    expect(await paper()).not.toMatch(/begun from that of its family/)
    expect(await count('heron-nine')).toBe(1)
    // Once more, from a screen that has not heard of it.
    expect(await post(first.id, changed(sheet, 2))).toMatchObject({
      status: 409,
      error: { code: 'changed-meanwhile' },
    })
    expect(await post(first.id, changed({ ...sheet, revision: 2 }, 1))).toMatchObject({ status: 400 })
    expect(await post(first.id, changed({ ...sheet, revision: 2 }, 9))).toMatchObject({ status: 422 })
  })
  it('also where it came under another id: what was found counts to that model', async () => {
    const first = body({ serial: 'H9-4' })
    await book(first)
    const { sheet } = await opened(first.id)
    await post(first.id, row(sheet, 2.9))
    const { family: _family, ...known } = sheet
    const other = { ...known, id: 'heron-nine-mk2', model: 'Heron Nine Mk 2' }
    expect(
      (await house.request('POST', '/api/sheets', { sheet: other, who: 'Ida', reason: 'from its maker' }))
        .status,
    ).toBe(201)
    const before = await count(sheet.id)
    expect((await post(first.id, changed(sheet, 1, other.id))).status).toBe(201)
    expect([await count(sheet.id), await count(other.id)]).toEqual([before - 1, 1])
    // It was the first one after all: its readings count by that again.
    const back = {
      ...changed({ ...sheet, id: other.id, revision: 1 }, sheet.revision, sheet.id),
      because: 'wrong-model',
    }
    expect((await post(first.id, back)).status).toBe(201)
    expect([await count(sheet.id), await count(other.id)]).toEqual([before, 0])
  })
})
