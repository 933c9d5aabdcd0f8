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
    const client = new pg.Client({ connectionString: house.cluster.adminUrl })
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
  })
})
