import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { modelSheet, type ModelSheet } from '../../core/sheet'
import type { SearchResult } from '../../shared/search'
import { given } from './carrying'
import { INTAKE, testHouse, type TestHouse } from './house'

/** What changes a job itself travels with its entries: kind, model, and whether it counts. */
let there: TestHouse
let here: TestHouse
const folder = mkdtempSync(join(tmpdir(), 'diapason-changes-'))
const BASIC = modelSheet('larkfield-lx8')
const MOSFET = modelSheet('larkfield-lx8m')
beforeAll(async () => {
  ;[there, here] = await Promise.all([testHouse({ demo: false }), testHouse({ demo: false })])
}, 240_000)
afterAll(async () => {
  await Promise.all([there?.stop(), here?.stop()])
  rmSync(folder, { recursive: true, force: true })
})

const stamp = () => ({ id: randomUUID(), atMs: Date.now() })
const ref = ({ id, revision }: ModelSheet) => ({ sheetId: id, sheetRevision: revision })
async function begun(serial: string): Promise<string> {
  const id = randomUUID()
  const body = {
    ...INTAKE,
    id,
    sheetId: BASIC.id,
    ruleSetId: BASIC.defaultRuleSetId,
    serial,
    jobKind: 'check',
  }
  expect((await there.request('POST', '/api/jobs', body)).status).toBe(201)
  return id
}
const add = async (id: string, event: object) =>
  expect((await there.request('POST', `/api/jobs/${id}/events`, { ...stamp(), ...event })).status).toBe(201)
let count = 0
async function carriedOver(): Promise<void> {
  const file = join(folder, `archive-${++count}`)
  expect(await given(there, 'export', file)).toMatchObject({ status: 0 })
  expect(await given(here, 'import', file, '--yes')).toMatchObject({ status: 0 })
}
const states = async (house: TestHouse) => {
  const { body } = await house.request('GET', '/api/search?words=TC-')
  return Object.fromEntries(
    (body as SearchResult).jobs.map(j => [j.serial, [j.sheetId, j.onBench, j.isWithdrawn]]),
  )
}

describe('a job that changed over there', () => {
  it('stands here as it stands there: before, after, and when it was taken back', async () => {
    const [converted, mistaken] = [await begun('TC-1'), await begun('TC-2')]
    await carriedOver()
    expect(await states(here)).toEqual(await states(there))
    const change = {
      kind: 'model-changed',
      because: 'conversion',
      from: ref(BASIC),
      to: ref(MOSFET),
      reason: '',
    }
    await add(converted, { kind: 'job-kind-set', jobKind: 'conversion', reason: '' })
    await add(converted, change)
    const withdrawn = { ...stamp(), kind: 'job-withdrawn', reason: 'booked in twice' }
    await add(mistaken, withdrawn)
    await carriedOver()
    expect(await states(here)).toEqual({
      'TC-1': [MOSFET.id, true, false],
      'TC-2': [BASIC.id, false, true],
    })
    expect((await here.request('GET', `/api/jobs/${converted}`)).body).toMatchObject({
      sheet: { id: MOSFET.id },
      found: { id: BASIC.id },
    })
    await add(mistaken, { kind: 'event-struck', eventId: withdrawn.id, reason: 'it was another one' })
    await carriedOver()
    expect(await states(here)).toEqual(await states(there))
    expect((await given(here, 'check')).status).toBe(0)
  })
})
