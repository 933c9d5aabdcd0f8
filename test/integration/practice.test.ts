import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Instrument } from '../../shared/instrument'
import type { PracticeNow, PracticeSession, PracticeSummary } from '../../shared/practiceSession'
import { testHouse, type TestHouse } from './house'

let house: TestHouse
beforeAll(async () => {
  house = await testHouse()
})
afterAll(() => house.stop())

const wanted = (change: object = {}) => ({
  id: randomUUID(),
  trainee: 'Runa',
  kitId: 'test-set',
  choice: 'prepared',
  designId: 'osmund-40a',
  lessonId: null,
  difficulty: 1,
  seed: 9,
  ...change,
})
const now = async () => (await house.request('GET', '/api/practice')).body as PracticeNow
const instruments = async () =>
  ((await house.request('GET', '/api/instruments')).body as Instrument[])
    .filter(i => i.port !== null)
    .map(i => i.name)
    .sort()

describe('a case', () => {
  it('begins with a job, a set on the bench and its instruments; the same id again is the same', async () => {
    const body = wanted()
    const first = await house.request('POST', '/api/practice/sessions', body)
    expect(first.status).toBe(201)
    expect((await house.request('POST', '/api/practice/sessions', body)).body).toEqual(first.body)
    const { open, session } = await now()
    expect(open).toMatchObject({ id: body.id, designId: 'osmund-40a', trainee: 'Runa' })
    expect(session).toMatchObject({ model: 'Osmund 40A', kitId: 'test-set' })
    expect(JSON.stringify(await now())).not.toContain('X08')
    expect(await instruments()).toEqual(
      ['Bench supply', 'Multimeter on test points', 'Spectrum analyser', 'Radio test set'].sort(),
    )
    const { jobId } = first.body as PracticeSummary
    expect((await house.request('GET', `/api/jobs/${jobId}`)).body).toMatchObject({
      job: { sheetId: 'osmund-40a', owner: expect.stringContaining('Practice') as string },
    })
  })
  it('is worked, finished and reviewed; finished twice it is the same review', async () => {
    const { open } = await now()
    const change = (body: object) => house.request('POST', '/api/practice', body)
    await change({ warmByS: 1500 })
    await change({ keyed: true, toneOn: true })
    await change({ adjusters: [{ designator: 'RV5', position: 0.57 }] })
    await change({ keyed: false })
    // Confirmed by mistake and struck out: it names nothing.
    const cause = {
      kind: 'cause-confirmed',
      id: randomUUID(),
      atMs: 1_795_000_000_000,
      causeId: 'coils-off',
      text: '',
    }
    const strike = {
      kind: 'event-struck',
      id: randomUUID(),
      atMs: 1_795_000_000_001,
      eventId: cause.id,
      reason: 'x',
    }
    for (const event of [cause, strike])
      expect((await house.request('POST', `/api/jobs/${open!.jobId}/events`, event)).status).toBe(201)
    const done = (
      await house.request('POST', `/api/practice/sessions/${open!.id}/finish`, { named: ['X08'] })
    ).body as PracticeSession
    expect(done.review).toMatchObject({
      faults: [{ id: 'X08', cured: true, named: true }],
      wronglyNamed: [],
      outside: [],
      measuredFirst: false,
      turns: 1,
    })
    expect(done.log!.length).toBeGreaterThan(3)
    expect(
      (await house.request('POST', `/api/practice/sessions/${open!.id}/finish`, { named: [] })).body,
    ).toEqual(done)
    expect((await house.request('GET', '/api/practice/sessions')).body).toMatchObject([
      { id: open!.id, faults: [{ cured: true }] },
    ])
    expect((await now()).open).toBeNull()
  })
  it('another one in its place leaves it without a review', async () => {
    const first = wanted({ choice: 'surprise', designId: null, difficulty: 3, seed: 77 })
    await house.request('POST', '/api/practice/sessions', first)
    await house.request(
      'POST',
      '/api/practice/sessions',
      wanted({ choice: 'lesson', lessonId: 'peak', designId: null }),
    )
    expect((await house.request('GET', `/api/practice/sessions/${first.id}`)).body).toMatchObject({
      review: null,
      finishedAtMs: expect.any(Number) as number,
    })
    expect((await now()).session.lesson).toEqual({ id: 'peak', done: 0 })
    expect(await instruments()).toContain('Modulation meter')
  })
  it('a set to try out has no case and no job, and its positions are told', async () => {
    const jobs = async () => ((await house.request('GET', '/api/jobs')).body as unknown[]).length
    const before = await jobs()
    const { body } = await house.request('POST', '/api/practice/free', {
      designId: 'osmund-27f',
      kitId: 'usual',
      seed: 27,
    })
    expect(body).toMatchObject({
      open: null,
      session: { designId: 'osmund-27f' },
      adjusters: { L4: -1.6, CT1: 0.8912 },
    })
    expect(await jobs()).toBe(before)
    expect(
      (await house.request('POST', '/api/practice/free', { designId: 'nothing', kitId: 'usual', seed: 27 }))
        .status,
    ).toBe(422)
  })
  it('the dongle records what stands on the bench', async () => {
    await house.request('POST', '/api/practice', { warmByS: 60 })
    await house.request('POST', '/api/practice', { keyed: true })
    const response = await fetch(`${house.address}/api/practice/recording`)
    const bytes = Buffer.from(await response.arrayBuffer())
    expect(Number(response.headers.get('x-rate-hz'))).toBe(250_000)
    expect(bytes.length).toBe(250_000 * 2 * 8)
    await house.request('POST', '/api/practice', { keyed: false })
  })
  it.each([
    ['no trainee', { trainee: ' ' }, 400],
    ['a model without a prepared case', { designId: 'nothing' }, 422],
    ['a lesson that is none', { choice: 'lesson', lessonId: 'nothing' }, 400],
    ['a bench that is none', { kitId: 'nothing' }, 400],
    ['a difficulty of 7', { difficulty: 7 }, 400],
    ['a strange field', { strange: 1 }, 400],
  ])('%s is refused', async (_name, change, status) => {
    expect((await house.request('POST', '/api/practice/sessions', wanted(change))).status).toBe(status)
  })
  it('a case that is none is not found', async () => {
    expect((await house.request('GET', `/api/practice/sessions/${randomUUID()}`)).error).toMatchObject({
      code: 'unknown-practice',
    })
    expect(
      (await house.request('POST', `/api/practice/sessions/${randomUUID()}/finish`, { named: [] })).status,
    ).toBe(404)
  })
})

describe('an instrument of one’s own', () => {
  const counter = async () =>
    ((await house.request('GET', '/api/instruments')).body as Instrument[]).find(i => i.name === 'Counter')!
  const own = {
    quantities: [{ quantity: 'carrierHz', query: 'MEAS:FREQ? (@1)', toSi: 1, accuracy: { ofReading: 1e-6 } }],
    settings: [],
  }
  it('is asked by its own queries once they are kept, and as shipped again', async () => {
    await house.request('POST', '/api/practice/sessions', wanted({ kitId: 'usual' }))
    const { id, version } = await counter()
    const change = (ownProfile: object | null, from: number) =>
      house.request('PUT', `/api/instruments/${id}/profile`, { ownProfile, version: from })
    expect((await change(own, version)).body).toMatchObject({ ownProfile: own })
    expect((await counter()).ownProfile).toEqual(own)
    expect(await change(null, version)).toMatchObject({ status: 409 })
    expect((await change(null, version + 1)).body).toMatchObject({ ownProfile: null })
  })
  it.each([
    ['a query with a line end', { quantities: [{ ...own.quantities[0], query: 'A\nB' }], settings: [] }],
    ['a factor of nought', { quantities: [{ ...own.quantities[0], toSi: 0 }], settings: [] }],
    ['no query at all', { quantities: [], settings: [] }],
    [
      'a command without its number',
      { ...own, settings: [{ name: 'supplyV', command: 'VOLT', query: 'VOLT?', toSi: 1, min: 0, max: 16 }] },
    ],
  ])('%s is refused and changes nothing', async (_name, ownProfile) => {
    const { id, version } = await counter()
    expect(
      (await house.request('PUT', `/api/instruments/${id}/profile`, { ownProfile, version })).status,
    ).toBe(400)
    expect((await counter()).ownProfile).toBeNull()
  })
  it('answers a line that is typed', async () => {
    const { id } = await counter()
    await expect
      .poll(async () => (await house.request('POST', `/api/instruments/${id}/ask`, { text: '*IDN?' })).body, {
        timeout: 10_000,
        interval: 300,
      })
      .toMatchObject({ raw: expect.stringContaining('Frequency counter') as string })
    expect(
      (await house.request('POST', `/api/instruments/${randomUUID()}/ask`, { text: '*IDN?' })).error,
    ).toMatchObject({ code: 'unknown-instrument' })
  })
  it('a stepped measurement is told through the server', async () => {
    expect((await house.request('GET', '/api/stepped')).body).toEqual({ run: null })
    expect((await house.request('POST', '/api/stepped', { nonsense: 1 })).status).toBe(400)
  })
})
