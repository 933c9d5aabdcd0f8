import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import { confirmed, rowTaken, struck, turned } from '../fixtures/jobEvents'
import { BARE_INSTRUMENT } from '../../shared/instrumentSetup'
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
const eventsOf = async (jobId: string) =>
  ((await house.request('GET', `/api/jobs/${jobId}`)).body as { events: JobEvent[] }).events

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

describe('events', () => {
  it('come back as they were sent, to the last digit', async () => {
    const id = await house.newJob()
    const sent: JobEvent[] = [
      row(),
      fresh(turned('CT1', 'L7')),
      fresh(confirmed('A1.5', 'as-is', 'trimmer at its stop \u2013 "enough"')),
    ]
    for (const event of sent) expect((await post(id, event)).status).toBe(201)
    expect(await eventsOf(id)).toEqual(sent)
  })
  it('sent twice, or ten times at once, are stored once', async () => {
    const id = await house.newJob()
    const event = row()
    const answers = await Promise.all(Array.from({ length: 10 }, () => post(id, event)))
    expect(answers.map(a => a.status).sort()).toEqual([...Array<number>(9).fill(200), 201])
    expect(await eventsOf(id)).toEqual([event])
  })
  it('an id cannot be used for something else', async () => {
    const id = await house.newJob()
    const event = row()
    await post(id, event)
    expect((await post(id, { ...event, atMs: event.atMs + 1 })).error).toMatchObject({ code: 'id-reused' })
    expect((await post(await house.newJob(), event)).error).toMatchObject({ code: 'id-reused' })
    expect(await eventsOf(id)).toEqual([event])
  })
  it('strike out only readings of the same job', async () => {
    const [id, other] = [await house.newJob(), await house.newJob()]
    const event = row()
    await post(id, event)
    const strike = () => fresh(struck(event.readings[0]!.id) as Extract<JobEvent, { kind: 'reading-struck' }>)
    expect((await post(other, strike())).error).toMatchObject({ code: 'unknown-reading', field: 'readingId' })
    expect((await post(id, strike())).status).toBe(201)
    expect((await eventsOf(id))[0]).toEqual(event) // struck out, not changed
  })
  it('handing over takes the set off the bench', async () => {
    const id = await house.newJob()
    await post(id, { kind: 'handed-over', id: randomUUID(), atMs: 1, text: '' })
    expect((await house.request('GET', `/api/jobs/${id}`)).body).toMatchObject({ job: { onBench: false } })
  })
})

describe('bad input is refused in words and changes nothing', () => {
  it.each<[string, string, string, unknown, number, object]>([
    [
      'an unknown job',
      'GET',
      '/api/jobs/00000000-0000-4000-8000-000000000000',
      undefined,
      404,
      { code: 'unknown-job' },
    ],
    ['an id that is none', 'GET', '/api/jobs/1%27;drop', undefined, 404, { code: 'unknown-job' }],
    ['no JSON', 'POST', '/api/jobs', '{"owner":', 400, { code: 'not-json' }],
    [
      '1e400',
      'POST',
      '/api/instruments',
      '{"name":"x","profileId":"scpi-supply","host":"h","port":1e400}',
      400,
      { code: 'invalid-field', field: 'port' },
    ],
    [
      'an unknown field',
      'POST',
      '/api/jobs',
      { ...INTAKE, id: randomUUID(), admin: true },
      400,
      { message: 'Unknown field: admin' },
    ],
    [
      'a serial with a picture in it',
      'POST',
      '/api/jobs',
      { ...INTAKE, id: randomUUID(), serial: '\u{1F4FB}' },
      400,
      { field: 'serial' },
    ],
    [
      'an unknown model',
      'POST',
      '/api/jobs',
      { ...INTAKE, id: randomUUID(), sheetId: 'x' },
      422,
      { code: 'unknown-sheet' },
    ],
    [
      'an unknown rule set',
      'POST',
      '/api/jobs',
      { ...INTAKE, id: randomUUID(), ruleSetId: 'x' },
      422,
      { code: 'unknown-rule-set' },
    ],
    [
      'a number where words belong',
      'POST',
      '/api/jobs',
      { ...INTAKE, id: randomUUID(), owner: 7 },
      400,
      { field: 'owner' },
    ],
    [
      'a 10 MB note',
      'POST',
      '/api/jobs',
      { ...INTAKE, id: randomUUID(), complaint: 'x'.repeat(10_000_000) },
      413,
      { code: 'body-too-large', message: expect.stringContaining('9766 kB') },
    ],
    [
      'a profile that is not there',
      'POST',
      '/api/instruments',
      { name: 'x', profileId: 'x', host: 'h', port: 1, ...BARE_INSTRUMENT },
      422,
      { code: 'unknown-profile' },
    ],
    ['channel 41 of the simulated set', 'POST', '/api/practice', { channel: 41 }, 400, { field: 'channel' }],
  ])('%s', async (_what, method, path, body, status, error) => {
    const answer = await house.request(method, path, body)
    expect(answer.status).toBe(status)
    expect(answer.error).toMatchObject(error)
    expect(answer.error!.message.length).toBeGreaterThan(10)
  })
  it.each<[string, (event: ReturnType<typeof row>) => unknown, object]>([
    [
      'negative power',
      e => ({ ...e, readings: [{ ...e.readings[1], value: -2 }] }),
      { field: 'readings[0].value' },
    ],
    ['a row that the sheet does not have', e => ({ ...e, pointId: 'moon' }), { code: 'unknown-point' }],
    [
      'a quantity the row does not ask for',
      e => ({ ...e, readings: [{ ...e.readings[1], quantity: 'pepW' }] }),
      { code: 'unknown-quantity' },
    ],
    ['a step that is not there', () => fresh(confirmed('A9.9')), { code: 'unknown-step' }],
    ['an adjuster that is not there', () => fresh(turned('CT9')), { code: 'unknown-adjuster' }],
    [
      'channel 0',
      e => ({ ...e, conditions: { ...e.conditions, channel: 0 } }),
      { field: 'conditions.channel' },
    ],
    [
      'a note of 10 001 characters',
      () => ({ kind: 'note', id: randomUUID(), atMs: 1, stepId: null, text: 'x'.repeat(10_001) }),
      { field: 'text' },
    ],
  ])('event: %s', async (_what, make, error) => {
    const id = await house.newJob()
    const kept = row()
    await post(id, kept)
    expect((await post(id, make(row()))).error).toMatchObject(error)
    expect(await eventsOf(id)).toEqual([kept])
  })
})

describe('the database itself', () => {
  const query = async (text: string) => {
    const client = new pg.Client({ connectionString: house.cluster.url })
    await client.connect()
    return client.query(text).finally(() => client.end())
  }
  it('refuses what the code should never send', async () => {
    await expect(
      query(
        'insert into reading select gen_random_uuid(), id, 99, ' +
          "'powerW', 'NaN', 0, 'typed', null from job_event limit 1",
      ),
    ).rejects.toMatchObject({ code: '23514' })
    await expect(
      query(
        "insert into reading select gen_random_uuid(), id, 99, 'powerW', 1, -1, 'typed', null from job_event limit 1",
      ),
    ).rejects.toMatchObject({ code: '23514' })
    await expect(
      query(
        'insert into job_event (id, job_id, kind, at, body) select ' +
          "gen_random_uuid(), id, 'Party !', now(), '{}' from job limit 1",
      ),
    ).rejects.toMatchObject({ code: '23514' })
  })
  it('stopped in between: the answer says so, and the same event afterwards is stored once', async () => {
    const id = await house.newJob()
    const event = row()
    await house.cluster.halt()
    expect((await post(id, event)).error).toMatchObject({ code: 'database-away' })
    await house.cluster.startAgain()
    await expect
      .poll(async () => (await post(id, event)).status, { timeout: 15_000 })
      .toSatisfy((s: number) => s === 201 || s === 200)
    expect((await post(id, event)).status).toBe(200)
    expect(await eventsOf(id)).toEqual([event])
  }, 60_000)
})
