import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
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
