import { randomUUID } from 'node:crypto'
import { extractText, getDocumentProxy } from 'unpdf'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { SettingsNoted } from '../../core/run'
import { modelSheet } from '../../core/sheet'
import type { Job } from '../../shared/job'
import { freshRow } from '../fixtures/freshRow'
import { testHouse, type TestHouse } from './house'

/** Where an operator sets a valve set, band by band: kept, printed in his language, put right. */
let house: TestHouse
beforeAll(async () => {
  house = await testHouse({ demo: false })
}, 240_000)
afterAll(() => house?.stop())

const valves = (change: object = {}) =>
  house.newJob({ sheetId: 'quillon-hb150', ruleSetId: 'R-AM', jobKind: 'check', ...change })
const note = (jobId: string, change: Partial<SettingsNoted> = {}) =>
  house.request('POST', `/api/jobs/${jobId}/events`, {
    kind: 'settings-noted',
    id: randomUUID(),
    atMs: 1_796_000_000_000,
    channel: 2,
    mode: null,
    connectedTo: 'load',
    positions: [{ control: 'PLATE', position: '6.8' }],
    text: '',
    ...change,
  })
async function paper(path: string): Promise<string> {
  const response = await fetch(house.address + path)
  expect([response.status, response.headers.get('content-type')]).toEqual([200, 'application/pdf'])
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(await response.arrayBuffer())), {
    mergePages: true,
  })
  return text.replace(/\s+/g, ' ')
}

describe('settings card', () => {
  it('is printed with what was read there, its owner reads it in his language, the handover has it', async () => {
    const id = await valves({ ownerLanguage: 'es' })
    await house.request(
      'POST',
      `/api/jobs/${id}/events`,
      freshRow(modelSheet('quillon-hb150'), 'as-found', 'band-2', { powerW: 118 }),
    )
    expect((await note(id)).status).toBe(201)
    await note(id, { connectedTo: 'antenna', positions: [{ control: 'Tuner L', position: '14' }] })
    const card = await paper(`/api/jobs/${id}/settings-card.pdf`)
    expect(card).toMatch(/Tarjeta de ajustes: Quillon HB-150/)
    expect(card).toMatch(/40 m .*carga artificial .*6\.8 .*118 W/)
    expect(card).toMatch(/antena/)
    expect(card).toMatch(/Sin posiciones de los mandos anotadas para 80 m, 20 m, 15 m, 10 m\./)
    expect(card).toMatch(/800 V en el interior/)
    expect(card).not.toMatch(/dummy load|PLATE/)
    expect(await paper(`/api/jobs/${id}/handover.pdf?copy=owner`)).toMatch(/Tarjeta de ajustes .*6\.8/)
    expect(await paper(`/api/jobs/${id}/handover.pdf?copy=shop`)).toMatch(/Settings card .*dummy load .*6\.8/)
  })
  it('is not there before anything was written, nor once it was struck out', async () => {
    const id = await valves()
    const asked = async () => (await house.request('GET', `/api/jobs/${id}/settings-card.pdf`)).error
    expect(await asked()).toMatchObject({ code: 'unknown-settings' })
    const eventId = randomUUID()
    await note(id, { id: eventId })
    await house.request('POST', `/api/jobs/${id}/events`, {
      kind: 'event-struck',
      id: randomUUID(),
      atMs: 1_796_000_001_000,
      eventId,
      reason: 'misread',
    })
    expect(await asked()).toMatchObject({ code: 'unknown-settings' })
  })
  it('is not made of what was written by the sheet of another model', async () => {
    const id = await valves()
    await note(id)
    const { sheetRevision } = ((await house.request('GET', `/api/jobs/${id}`)).body as { job: Job }).job
    const changed = await house.request('POST', `/api/jobs/${id}/events`, {
      kind: 'model-changed',
      id: randomUUID(),
      atMs: 1_796_000_002_000,
      because: 'wrong-model',
      from: { sheetId: 'quillon-hb150', sheetRevision },
      to: { sheetId: 'quillon-p5', sheetRevision: 1 },
      reason: 'the small one',
    })
    expect(changed.status).toBe(201)
    expect((await house.request('GET', `/api/jobs/${id}/settings-card.pdf`)).error).toMatchObject({
      code: 'unknown-settings',
    })
  })
  it.each([
    [{ channel: 6 }, 422, 'unknown-channel'],
    [{ channel: 0 }, 400, 'invalid-field'],
    [{ positions: [], text: ' ' }, 400, 'invalid-field'],
    [{ positions: [{ control: 'PLATE', position: '' }] }, 400, 'invalid-field'],
    [{ connectedTo: 'mains' as 'load' }, 400, 'invalid-field'],
  ])('refuses %j, and keeps what was kept', async (change, status, code) => {
    const id = await valves()
    await note(id)
    expect(await note(id, change)).toMatchObject({ status, error: { code } })
    expect(await paper(`/api/jobs/${id}/settings-card.pdf`)).toMatch(/6\.8/)
  })
})
