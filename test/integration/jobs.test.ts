import { randomUUID } from 'node:crypto'
import { extractText, getDocumentProxy } from 'unpdf'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import { stagesOfKind } from '../../core/work'
import type { JobSummary } from '../../shared/bench'
import type { SearchResult } from '../../shared/search'
import { rowTaken } from '../fixtures/jobEvents'
import { INTAKE, testHouse, type TestHouse } from './house'

let house: TestHouse

beforeAll(async () => {
  house = await testHouse()
}, 240_000)

afterAll(() => house?.stop())

/** The fixture's ids count from one in every file; the database wants them unique. */
function fresh<E extends JobEvent>(event: E): E {
  const copy = { ...event, id: randomUUID() }
  return (
    copy.kind === 'row-taken'
      ? { ...copy, readings: copy.readings.map(r => ({ ...r, id: randomUUID() })) }
      : copy
  ) as E
}

const row = () =>
  fresh(
    rowTaken('as-found', null, 'high-20', {
      carrierHz: 27_791_182.25,
      powerW: 2.8,
      supplyV: 13.8,
      supplyA: 0.912,
    }) as Extract<JobEvent, { kind: 'row-taken' }>,
  )

const post = (jobId: string, event: unknown) => house.request('POST', `/api/jobs/${jobId}/events`, event)

describe('jobs', () => {
  it('an empty house has its demo jobs, each with a stage computed from its readings', async () => {
    const { body } = await house.request('GET', '/api/jobs')
    const jobs = body as {
      job: { number: number; onBench: boolean }
      done: Record<string, boolean>
      nextStepTitle: string | null
    }[]
    expect(jobs.map(j => [j.job.number, j.job.onBench])).toEqual([
      [231, true],
      [227, true],
      [230, true],
      [228, true],
      [229, false],
      ...[226, 225, 224, 223, 222].map(n => [n, false]),
    ])
    expect(jobs[0]).toMatchObject({ done: { 'as-found': true, 'align': false }, nextStepTitle: 'Warm-up' })
    expect(jobs[2]!.done['as-found']).toBe(false)
  })
  it('is started once, however often the answer is lost', async () => {
    const id = randomUUID()
    const first = await house.request('POST', '/api/jobs', { ...INTAKE, id })
    const again = await house.request('POST', '/api/jobs', { ...INTAKE, id })
    expect([first.status, again.status]).toEqual([201, 201])
    expect(again.body).toEqual(first.body)
  })
  it('says what it is from its first entry on, and once however often the answer is lost', async () => {
    const id = randomUUID()
    const asked = { ...INTAKE, id, jobKind: 'check' }
    await house.request('POST', '/api/jobs', asked)
    await house.request('POST', '/api/jobs', asked)
    const { body } = await house.request('GET', `/api/jobs/${id}`)
    expect((body as { events: JobEvent[] }).events).toMatchObject([
      { kind: 'job-kind-set', jobKind: 'check' },
    ])
    const { body: list } = await house.request('GET', '/api/jobs')
    const here = (list as JobSummary[]).find(j => j.job.id === id)!
    expect([here.jobKind, here.stages]).toEqual(['check', stagesOfKind('check')])
    expect(
      (await house.request('POST', '/api/jobs', { ...INTAKE, id: randomUUID(), jobKind: 'x' })).status,
    ).toBe(400)
    const grown = { kind: 'job-kind-set', id: randomUUID(), atMs: Date.now(), jobKind: 'repair', reason: '' }
    expect((await post(id, grown)).status).toBe(201)
    const { body: record } = await house.request('GET', `/api/jobs/${id}/record.json`)
    expect(record).toMatchObject({ jobKind: 'repair' })
  })
  it('begun by mistake is withdrawn: in no list or statistics, and back when that was the mistake', async () => {
    const id = await house.newJob({ serial: 'WD-1' })
    expect((await post(id, row())).status).toBe(201)
    const isListed = async () => {
      const { body: jobs } = await house.request('GET', '/api/jobs')
      const { body: earlier } = await house.request('GET', '/api/jobs/earlier?sheetId=osmund-27f&serial=WD-1')
      const { body: csv } = await house.request('GET', '/api/readings.csv')
      return [
        (jobs as JobSummary[]).some(j => j.job.id === id),
        (earlier as unknown[]).length > 0,
        String(csv).includes('WD-1'),
      ]
    }
    const models = async () =>
      ((await house.request('GET', '/api/models/osmund-27f/history')).body as { jobs: number }).jobs
    const before = await models()
    expect(await isListed()).toEqual([true, true, true])
    const withdrawn = { kind: 'job-withdrawn', id: randomUUID(), atMs: Date.now(), reason: 'wrong set' }
    expect((await post(id, withdrawn)).status).toBe(201)
    expect(await isListed()).toEqual([false, false, false])
    expect(await models()).toBe(before - 1)
    const found = async (state: string) =>
      ((await house.request('GET', `/api/search?words=WD-1&state=${state}`)).body as SearchResult).jobs
    expect((await found('withdrawn')).map(j => [j.id, j.isWithdrawn])).toEqual([[id, true]])
    expect([(await found('any')).length, (await found('away')).length]).toEqual([1, 0])
    const handedOver = () => ({ kind: 'handed-over', id: randomUUID(), atMs: Date.now(), text: '' })
    expect(await post(id, handedOver())).toMatchObject({
      status: 409,
      error: { code: 'withdrawn' },
    })
    const strike = {
      kind: 'event-struck',
      id: randomUUID(),
      atMs: Date.now(),
      eventId: withdrawn.id,
      reason: 'it was here',
    }
    expect((await post(id, strike)).status).toBe(201)
    expect(await isListed()).toEqual([true, true, true])
    expect(await models()).toBe(before)
    expect((await post(id, handedOver())).status).toBe(201)
    const late = { ...withdrawn, id: randomUUID() }
    expect(await post(id, late)).toMatchObject({ status: 409, error: { code: 'handed-over' } })
  })
  it('is corrected field by field', async () => {
    const id = await house.newJob()
    expect(
      (
        await house.request('PATCH', `/api/jobs/${id}`, {
          version: 1,
          serial: '41878',
          promisedOn: '2026-12-04',
        })
      ).body,
    ).toMatchObject({ serial: '41878', promisedOn: '2026-12-04', owner: INTAKE.owner })
    expect(
      (await house.request('PATCH', `/api/jobs/${id}`, { version: 2, promisedOn: null })).body,
    ).toMatchObject({ promisedOn: null })
  })
})

describe('two people at one intake', () => {
  it(
    'the second change is refused with words, not written over ' +
      'the first, and goes through once it knows of it',
    async () => {
      const id = await house.newJob()
      const change = (version: number, body: object) =>
        house.request('PATCH', `/api/jobs/${id}`, { version, ...body })
      expect((await change(1, { owner: 'Anna' })).body).toMatchObject({ version: 2, owner: 'Anna' })
      const refused = await change(1, { owner: 'Bert', serial: '9' })
      expect([refused.status, refused.error!.code]).toEqual([409, 'changed-meanwhile'])
      expect((await house.request('GET', `/api/jobs/${id}`)).body).toMatchObject({
        job: { owner: 'Anna', serial: INTAKE.serial, version: 2 },
      })
      expect((await change(2, { owner: 'Bert' })).body).toMatchObject({ version: 3, owner: 'Bert' })
      expect((await change(3, {})).body).toMatchObject({ owner: 'Bert' })
      expect((await house.request('PATCH', `/api/jobs/${id}`, { owner: 'x' })).error).toMatchObject({
        code: 'invalid-field',
        field: 'version',
      })
    },
  )
  it('of ten changes at once from the same version one is taken', async () => {
    const id = await house.newJob()
    const answers = await Promise.all(
      Array.from({ length: 10 }, (_, i) =>
        house.request('PATCH', `/api/jobs/${id}`, { version: 1, owner: `owner ${i}` }),
      ),
    )
    expect(answers.map(a => a.status).sort()).toEqual([200, ...Array<number>(9).fill(409)])
  })
})

describe('a set that was here before', () => {
  const earlier = (serial: string) =>
    house.request('GET', `/api/jobs/earlier?sheetId=osmund-27f&serial=${encodeURIComponent(serial)}`)
  it('is found by model and serial, however it was capitalised, newest first, with how it was left', async () => {
    const first = await house.newJob({ serial: 'Ab 77' })
    const second = await house.newJob({ serial: 'aB 77' })
    const left = { ...row(), phase: 'as-left' as const }
    await post(first, left)
    await post(first, { kind: 'handed-over', id: randomUUID(), atMs: 1_795_000_000_000, text: '' })
    const found = (await earlier('AB 77')).body as {
      job: { id: string }
      handedOverAtMs: number | null
      asLeft: { quantity: string; value: number; verdict: string }[]
    }[]
    expect(found.map(e => [e.job.id, e.handedOverAtMs])).toEqual([
      [second, null],
      [first, 1_795_000_000_000],
    ])
    // Supply voltage and current are recorded, nothing is asked of them: they say nothing about how the set
    // was left.
    expect(found[1]!.asLeft.map(l => [l.quantity, l.value, l.verdict])).toEqual([
      ['carrierHz', 27_791_182.25, 'below'],
      ['powerW', 2.8, 'below'],
    ])
  })
  it('comes with what was planned then for a later visit, and the owner’s paper says so', async () => {
    const first = await house.newJob({ serial: 'Ef 79' })
    const planned = { kind: 'reminder-set', condition: 'next-visit', text: 'fit a fan' }
    expect((await post(first, { ...planned, id: randomUUID(), atMs: Date.now() })).status).toBe(201)
    await house.newJob({ serial: 'Ef 79' })
    expect((await earlier('Ef 79')).body).toMatchObject([{ planned: [] }, { planned: ['fit a fan'] }])
    const pdf = await fetch(`${house.address}/api/jobs/${first}/handover.pdf?copy=owner`)
    const document = await getDocumentProxy(new Uint8Array(await pdf.arrayBuffer()))
    const { text } = await extractText(document, { mergePages: true })
    expect(text).toMatch(/Planned for a later visit\s+fit a fan/)
  })
  it('is found by its serial number alone while no model is chosen, whichever model bears it', async () => {
    const ofOther = await house.newJob({ serial: 'Cd 78', sheetId: 'osmund-40a', ruleSetId: 'R-EU' })
    const ofThis = await house.newJob({ serial: 'CD 78' })
    const found = (await house.request('GET', '/api/jobs/earlier?serial=cd%2078')).body as {
      job: { id: string }
    }[]
    expect(found.map(e => e.job.id)).toEqual([ofThis, ofOther])
    expect((await earlier('cd 78')).body).toMatchObject([{ job: { id: ofThis } }])
  })
  it('is not mixed up with others, and a set without serial is refused by name', async () => {
    expect((await earlier('no such serial')).body).toEqual([])
    expect((await earlier('%')).body).toEqual([])
    expect((await earlier('')).error).toMatchObject({ code: 'invalid-field', field: 'serial' })
  })
})

describe('claims', () => {
  const claim = { id: randomUUID(), quantity: 'powerW', kind: 'under', value: 3, meter: 'cross-needle' }
  it('are kept with the intake, corrected, and settled in the record', async () => {
    const id = await house.newJob({ claims: [claim] })
    expect((await house.request('GET', `/api/jobs/${id}`)).body).toMatchObject({ job: { claims: [claim] } })
    await post(id, row())
    expect((await house.request('GET', `/api/jobs/${id}/record.json`)).body).toMatchObject({
      claims: [{ outcome: 'confirmed', measuredValue: 2.8 }],
    })
    const corrected = [
      { ...claim, kind: 'over' },
      { ...claim, id: randomUUID(), quantity: 'frequencyErrorHz', value: -70, kind: 'about', meter: '' },
    ]
    expect(
      (await house.request('PATCH', `/api/jobs/${id}`, { version: 1, claims: corrected })).body,
    ).toMatchObject({ claims: corrected })
    expect((await house.request('GET', `/api/jobs/${id}/record.json`)).body).toMatchObject({
      claims: [{ outcome: 'refuted' }, { outcome: 'confirmed' }],
    })
  })
  it.each([
    [{ value: -3 }, 'claims[0].value'],
    [{ kind: 'nearly' }, 'claims[0].kind'],
    [{ quantity: 'smell' }, 'claims[0].quantity'],
  ])('with %j are refused, the place named', async (change, field) => {
    expect(
      (
        await house.request('POST', '/api/jobs', {
          ...INTAKE,
          id: randomUUID(),
          claims: [{ ...claim, ...change }],
        })
      ).error,
    ).toMatchObject({ code: 'invalid-field', field })
  })
})
