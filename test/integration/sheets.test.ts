import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import { compareSheets, fromTemplate, type FieldValue, type ModelSheet } from '../../core/sheet'
import type { SheetSummary, SheetView } from '../../shared/sheetFile'
import { rowTaken } from '../fixtures/jobEvents'
import { testHouse, type TestHouse } from './house'

const house = {} as TestHouse
beforeAll(async () => {
  Object.assign(house, await testHouse({ demo: false }))
})
afterAll(() => house.stop())

const view = async (id: string, revision = 0) =>
  (await house.request('GET', `/api/sheets/${id}${revision ? `?revision=${revision}` : ''}`))
    .body as SheetView
const send = (jobId: string, event: object) =>
  house.request('POST', `/api/jobs/${jobId}/events`, { id: randomUUID(), atMs: Date.now(), ...event })
const amend = (line: string, to: FieldValue, from: FieldValue = null) => ({
  kind: 'sheet-amended',
  changes: [{ line, from, to }],
  reason: 'seen on the board',
  who: 'Ida',
})
const jobOf = async (id: string) =>
  (await house.request('GET', `/api/jobs/${id}`)).body as {
    job: { sheetRevision: number }
    sheet: ModelSheet
    events: JobEvent[]
  }
const mine = (change: Partial<ModelSheet> = {}): ModelSheet => ({
  ...fromTemplate('am-mobile', 'tern-5', 'Tern 5', '2026-11-25'),
  ...change,
})

describe('a sheet of one\u2019s own', () => {
  it('is kept, listed, revised, and every revision stays', async () => {
    expect(
      await house.request('POST', '/api/sheets', { sheet: mine(), who: 'Ida', reason: 'new model' }),
    ).toMatchObject({ status: 201, body: { revision: 1 } })
    expect(await house.request('POST', '/api/sheets', { sheet: mine(), who: '', reason: '' })).toMatchObject({
      status: 409,
      error: { code: 'name-taken' },
    })
    expect(
      await house.request('POST', '/api/sheets', { sheet: mine({ id: 'osmund-27f' }), who: '', reason: '' }),
    ).toMatchObject({ status: 409 })
    expect(
      await house.request('PUT', '/api/sheets/tern-5', {
        from: 1,
        sheet: mine({ load: 'dry load' }),
        who: 'Ida',
        reason: 'load renewed',
      }),
    ).toMatchObject({ status: 200, body: { revision: 2 } })
    expect(
      await house.request('PUT', '/api/sheets/tern-5', { from: 1, sheet: mine(), who: '', reason: 'late' }),
    ).toMatchObject({ status: 409, error: { code: 'changed-meanwhile' } })
    const { newest, revisions } = await view('tern-5')
    expect([newest, revisions.map(r => r.reason)]).toEqual([2, ['load renewed', 'new model']])
    expect(
      compareSheets((await view('tern-5', 1)).sheet, (await view('tern-5', 2)).sheet).map(d => d.field),
    ).toEqual(['load'])
    expect((await house.request('GET', '/api/sheets')).body as SheetSummary[]).toContainEqual(
      expect.objectContaining({ id: 'tern-5', revision: 2, shipped: false, jobs: 0 }),
    )
  })
  it('that does not hold together is refused in words, and nothing is kept', async () => {
    const ring = {
      ...mine({ id: 'ring' }),
      procedure: mine().procedure.map(s => (s.id === 'A2.4' ? { ...s, needs: ['A2.5'] } : s)),
    }
    expect(await house.request('POST', '/api/sheets', { sheet: ring, who: '', reason: '' })).toMatchObject({
      status: 400,
      error: { message: expect.stringMatching(/comes later|in a ring/) as string },
    })
    expect(await house.request('GET', '/api/sheets/ring')).toMatchObject({
      status: 422,
      error: { code: 'unknown-sheet' },
    })
  })
  it('is what a job begins with, keeps, and is judged by', async () => {
    const before = await house.newJob({ sheetId: 'tern-5', ruleSetId: 'R-SHOP' })
    await house.request('PUT', '/api/sheets/tern-5', {
      from: 2,
      sheet: mine({ load: 'oil load' }),
      who: '',
      reason: 'again',
    })
    const after = await house.newJob({ sheetId: 'tern-5', ruleSetId: 'R-SHOP' })
    expect([(await jobOf(before)).sheet.load, (await jobOf(after)).sheet.load]).toEqual([
      'dry load',
      'oil load',
    ])
    expect(await send(after, rowTaken('as-found', null, mine().matrix[0]!.id, {}))).toMatchObject({
      status: 400,
    })
    expect(await house.request('GET', '/api/jobs')).toMatchObject({ status: 200 })
    expect(await house.request('GET', `/api/jobs/${after}/handover.pdf?copy=shop`)).toMatchObject({
      status: 200,
    })
  })
})

describe('a correction in the middle of a job', () => {
  const WHERE = 'adjuster/CT2/where'
  it('makes the next revision, keeps the old value, and holds on this job at once', async () => {
    const jobId = await house.newJob()
    const event = { id: randomUUID(), ...amend(WHERE, 'left of the two trimmers') }
    expect(await send(jobId, event)).toMatchObject({ status: 201 })
    expect(await send(jobId, { ...event, atMs: event.id.length })).toMatchObject({
      status: 409,
      error: { code: 'id-reused' },
    })
    const { revisions, sheet, newest } = await view('osmund-27f')
    expect(newest).toBe(2)
    expect(revisions[0]).toMatchObject({
      who: 'Ida',
      reason: 'seen on the board',
      jobId,
      changes: [{ line: WHERE, from: 'right of the two trimmers', to: 'left of the two trimmers' }],
    })
    expect(sheet.adjusters.find(a => a.designator === 'CT2')!.where).toBe('left of the two trimmers')
    expect((await jobOf(jobId)).job.sheetRevision).toBe(1)
    expect((await jobOf(await house.newJob())).job.sheetRevision).toBe(2)
  })
  it('sent twice it is one revision', async () => {
    const jobId = await house.newJob()
    const event = { id: randomUUID(), atMs: Date.now(), ...amend('adjuster/CT2/tool', 'glass-fibre blade') }
    const before = (await view('osmund-27f')).newest
    await Promise.all([1, 2, 3].map(() => send(jobId, event)))
    expect((await view('osmund-27f')).newest).toBe(before + 1)
  })
  it('two benches at once: one revision after the other, none lost', async () => {
    const jobs = await Promise.all([1, 2, 3, 4].map(() => house.newJob()))
    const before = (await view('osmund-27f')).newest
    const answers = await Promise.all(
      jobs.map((id, i) => send(id, amend(`adjuster/L${i + 1}/tool`, `tool ${i}`))),
    )
    expect(answers.map(a => a.status)).toEqual([201, 201, 201, 201])
    const { newest, sheet } = await view('osmund-27f')
    expect(newest).toBe(before + 4)
    expect([1, 2, 3, 4].map(i => sheet.adjusters.find(a => a.designator === `L${i}`)!.tool)).toEqual([
      'tool 0',
      'tool 1',
      'tool 2',
      'tool 3',
    ])
  })
  it('grows trustworthy with every job that finds it right, each counted once', async () => {
    const trust = async () => (await view('osmund-27f')).trust.find(t => t.path === WHERE)!.confirmed
    expect(await trust()).toBe(0)
    const [a, b] = [await house.newJob(), await house.newJob()]
    for (const id of [a, a, b])
      expect(await send(id, { kind: 'line-confirmed', line: WHERE, who: 'Ida' })).toMatchObject({
        status: 201,
      })
    expect(await trust()).toBe(2)
    await send(b, amend(WHERE, 'under the shield'))
    expect(await trust()).toBe(0)
  })
  it('is refused in words when the sheet would no longer hold together', async () => {
    const jobId = await house.newJob()
    expect(await send(jobId, amend('step/A1.5/adjusters', ['CT77']))).toMatchObject({
      status: 422,
      error: { code: 'bad-sheet' },
    })
    expect(await send(jobId, amend('nothing/at/all', 'x'))).toMatchObject({
      status: 422,
      error: { code: 'unknown-field' },
    })
    expect(await send(jobId, { kind: 'line-confirmed', line: 'adjuster/ZZ/where', who: '' })).toMatchObject({
      status: 422,
    })
    expect((await jobOf(jobId)).events).toEqual([])
  })
  it('struck out, it is taken back in the sheet and on the job', async () => {
    const jobId = await house.newJob()
    const was = (await view('osmund-27f')).sheet.adjusters.find(a => a.designator === 'RV1')!.where
    const event = { id: randomUUID(), ...amend('adjuster/RV1/where', 'nowhere') }
    await send(jobId, event)
    expect(await send(jobId, { kind: 'event-struck', eventId: event.id, reason: 'wrong set' })).toMatchObject(
      { status: 201 },
    )
    expect((await view('osmund-27f')).sheet.adjusters.find(a => a.designator === 'RV1')!.where).toBe(was)
    expect(await send(jobId, { kind: 'event-struck', eventId: randomUUID(), reason: 'none' })).toMatchObject({
      status: 404,
      error: { code: 'unknown-event' },
    })
    const row = rowTaken('as-found', null, 'high-20', { powerW: 3 })
    await house.request('POST', `/api/jobs/${jobId}/events`, row)
    expect(await send(jobId, { kind: 'event-struck', eventId: row.id, reason: 'x' })).toMatchObject({
      status: 409,
      error: { code: 'cannot-be-struck' },
    })
  })
  it(
    'holds on a job of an older revision even where the newest ' +
      'sheet cannot bear it, and can be struck out there',
    async () => {
      const sheet = mine({ id: 'wader-1' })
      await house.request('POST', '/api/sheets', { sheet, who: '', reason: '' })
      const jobId = await house.newJob({ sheetId: 'wader-1', ruleSetId: 'R-SHOP' })
      const gone =
        sheet.adjusters.find(a => !sheet.procedure.some(s => s.adjusters.includes(a.designator)))
          ?.designator ?? sheet.adjusters.at(-1)!.designator
      const without = {
        ...sheet,
        scheme: undefined,
        adjusters: sheet.adjusters.filter(a => a.designator !== gone),
        procedure: sheet.procedure.map(s => ({ ...s, adjusters: s.adjusters.filter(d => d !== gone) })),
      }
      expect(
        await house.request('PUT', '/api/sheets/wader-1', {
          from: 1,
          sheet: without,
          who: '',
          reason: 'not fitted',
        }),
      ).toMatchObject({ status: 200 })
      const step = sheet.procedure.at(-1)!
      const event = { id: randomUUID(), ...amend(`step/${step.id}/adjusters`, [gone], [...step.adjusters]) }
      expect(await send(jobId, event)).toMatchObject({ status: 201 })
      expect((await view('wader-1')).newest).toBe(2)
      const line = { id: randomUUID(), ...amend(`adjuster/${gone}/where`, 'under the can') }
      expect(await send(jobId, line)).toMatchObject({ status: 201 })
      expect(await send(jobId, { kind: 'event-struck', eventId: line.id, reason: 'no' })).toMatchObject({
        status: 201,
      })
    },
  )
  it('one key-down that two screens saw is kept once', async () => {
    const jobId = await house.newJob()
    const event = { id: randomUUID(), atMs: 1000, kind: 'keyed', lengthS: 4.2 }
    expect(await send(jobId, { ...event, stepId: 'A1.5' })).toMatchObject({ status: 201 })
    expect(await send(jobId, { ...event, stepId: null })).toMatchObject({
      status: 200,
      body: { isNew: false },
    })
  })
})
