import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import { testHouse, type TestHouse } from './house'

let house: TestHouse
beforeAll(async () => {
  house = await testHouse({ demo: false })
}, 240_000)
afterAll(() => house?.stop())

const stamped = (event: object) => ({ id: randomUUID(), atMs: 1_795_000_000_000, ...event })
const post = (jobId: string, event: object) =>
  house.request('POST', `/api/jobs/${jobId}/events`, stamped(event))

const GOOD = [
  { kind: 'power-tried', limitA: 1.5, idleA: 0.31, seen: 'normal', text: '' },
  { kind: 'item-inspected', itemId: 'I31', state: 'ask', text: '\u0431\u0440\u0430\u0442\u044c?' },
  { kind: 'reminder-set', condition: 'spectrum', text: 'look at L8' },
  { kind: 'question-asked', text: 'May the glue go?', price: '40', consequence: '' },
  { kind: 'question-answered', questionId: randomUUID(), answer: 'yes', text: '' },
  { kind: 'wait-begun', waitsFor: 'parts', text: 'crystal', untilDay: '2026-12-20' },
  { kind: 'wait-ended', waitId: randomUUID(), text: '' },
  { kind: 'part-changed', designator: 'Q12', partOut: '2SC1969', partIn: '2SC1969', isFinal: true, text: '' },
  {
    kind: 'part-tested',
    part: '2SC1969',
    boughtAt: '',
    dcGain: 60,
    rfPowerW: 3.8,
    rfReferenceW: 4,
    fallsWhileKeyed: false,
    heat: 'warm',
    text: '',
  },
  { kind: 'treated', what: 'preset cleaned', where: 'RV2', text: '' },
  { kind: 'soak-begun', hours: 4, text: '' },
  { kind: 'soak-ended', soakId: randomUUID(), passed: true, text: '' },
  { kind: 'test-made', observableId: 'cores', outcome: 'off', text: '' },
  { kind: 'cause-confirmed', causeId: 'coils-off', text: '' },
  {
    kind: 'trial-noted',
    signal: 'tone',
    text: '100 %',
    amplifier: { name: 'Duo', devices: 2, claimedW: null },
    readings: [
      {
        id: randomUUID(),
        quantity: 'pepW',
        value: 20,
        standardUncertainty: null,
        source: 'typed',
        instrument: null,
        bound: 'at-least',
      },
    ],
  },
  { kind: 'set-altered', text: 'limiter out' },
]

describe('work beside the readings', () => {
  it('comes back as it was sent, kind by kind', async () => {
    const id = await house.newJob()
    const sent = GOOD.map(stamped)
    for (const event of sent)
      expect(
        (await house.request('POST', `/api/jobs/${id}/events`, event)).status,
        JSON.stringify(event),
      ).toBe(201)
    expect(((await house.request('GET', `/api/jobs/${id}`)).body as { events: JobEvent[] }).events).toEqual(
      sent,
    )
  })
  it.each([
    [0, { limitA: -1 }, 'limitA'],
    [0, { seen: 'fire' }, 'seen'],
    [0, { idleA: 'x' }, 'idleA'],
    [1, { state: 'bad' }, 'state'],
    [2, { text: '' }, 'text'],
    [3, { price: 'x'.repeat(301) }, 'price'],
    [5, { untilDay: 'soon' }, 'untilDay'],
    [7, { partIn: '' }, 'partIn'],
    [8, { dcGain: -5 }, 'dcGain'],
    [10, { hours: 0 }, 'hours'],
    [10, { hours: 1e9 }, 'hours'],
    [13, { strange: 1 }, 'strange'],
    [14, { readings: [] }, 'readings'],
    [14, { signal: 'music' }, 'signal'],
    [14, { amplifier: { name: '', devices: 2, claimedW: null } }, 'name'],
    [15, { text: '' }, 'text'],
  ] as const)('event %d with %j is refused by name', async (index, change, field) => {
    expect((await post(await house.newJob(), { ...GOOD[index], ...change })).error).toMatchObject({
      code: 'invalid-field',
      field: expect.stringMatching(new RegExp(`^$|${field}`)) as string,
      message: expect.stringMatching(new RegExp(field === 'strange' ? 'strange' : '\\S')) as string,
    })
  })
  it.each([
    [{ kind: 'item-inspected', itemId: 'I33', state: 'fine', text: '' }, 'unknown-item'],
    [{ kind: 'reminder-set', condition: 'moon', text: 'x' }, 'unknown-condition'],
    [{ kind: 'test-made', observableId: 'nothing', outcome: 'x', text: '' }, 'unknown-observable'],
    [{ kind: 'test-made', observableId: 'cores', outcome: 'purple', text: '' }, 'unknown-observable'],
    [{ kind: 'cause-confirmed', causeId: 'gremlins', text: '' }, 'unknown-cause'],
  ])('%j names what is not there', async (event, code) => {
    expect((await post(await house.newJob(), event)).error).toMatchObject({ code })
  })
  it('the bench page says for whom a job waits', async () => {
    const id = await house.newJob()
    await post(id, GOOD[3]!)
    const jobs = (await house.request('GET', '/api/jobs')).body as {
      job: { id: string }
      waitsFor: { who: string } | null
    }[]
    expect(jobs.find(j => j.job.id === id)!.waitsFor).toMatchObject({ who: 'owner' })
  })
})

describe('stock parts', () => {
  const part = (change: object = {}) => ({
    id: randomUUID(),
    atMs: 1_795_000_000_000,
    kind: 'part-tested',
    part: '2SC1969, drawer 3',
    boughtAt: 'a market',
    dcGain: 60,
    rfPowerW: 0.7,
    rfReferenceW: 4,
    fallsWhileKeyed: true,
    heat: 'hot',
    text: '',
    ...change,
  })
  it('are tested without a job, once however often it is sent, and refused in words', async () => {
    const one = part()
    expect(await house.request('POST', '/api/parts', one)).toMatchObject({ status: 201 })
    await house.request('POST', '/api/parts', one)
    expect((await house.request('GET', '/api/parts')).body).toEqual([one])
    expect(await house.request('POST', '/api/parts', part({ part: '' }))).toMatchObject({
      status: 400,
      error: { field: 'part' },
    })
    expect(await house.request('POST', '/api/parts', part({ kind: 'note' }))).toMatchObject({ status: 400 })
    expect(await house.request('POST', '/api/parts', part({ rfPowerW: -1 }))).toMatchObject({
      status: 400,
      error: { field: 'rfPowerW' },
    })
  })
})

describe('a challenged reading that is kept', () => {
  it('must be one of the job, and needs a reason', async () => {
    const [id, other] = [await house.newJob({ serial: 'C1' }), await house.newJob({ serial: 'C2' })]
    const reading = {
      id: randomUUID(),
      quantity: 'powerW',
      value: 40,
      standardUncertainty: null,
      source: 'typed',
      instrument: null,
      bound: 'at-least',
      fullScale: 40,
    }
    const conditions = {
      mode: 'FM',
      channel: 20,
      lowPower: false,
      toneHz: null,
      toneV: null,
      inputV: null,
      coverage: 'standard',
      setting: '',
      supplyV: 13.8,
      load: 'dummy',
      onTimeS: 1500,
    }
    expect(
      await post(id, {
        kind: 'row-taken',
        phase: 'as-found',
        stepId: null,
        pointId: 'high-20',
        conditions,
        readings: [reading],
      }),
    ).toMatchObject({ status: 201 })
    const { body } = (await house.request('GET', `/api/jobs/${id}`)) as {
      body: { events: { readings?: object[] }[] }
    }
    // The scale it was read on stays with it.
    expect(body.events[0]!.readings).toEqual([reading])
    expect(
      await post(id, { kind: 'challenge-kept', readingId: reading.id, rule: 'P10', reason: '' }),
    ).toMatchObject({ status: 400 })
    expect(
      await post(other, { kind: 'challenge-kept', readingId: reading.id, rule: 'P10', reason: 'so it is' }),
    ).toMatchObject({ status: 404, error: { code: 'unknown-reading' } })
    expect(
      await post(id, { kind: 'challenge-kept', readingId: reading.id, rule: 'P10', reason: 'so it is' }),
    ).toMatchObject({ status: 201 })
    expect(await post(id, { kind: 'position-noted', designator: 'XX9', position: '10:00' })).toMatchObject({
      status: 422,
    })
    expect(
      await post(id, {
        kind: 'row-taken',
        phase: 'as-found',
        stepId: null,
        pointId: 'high-20',
        conditions: { ...conditions, coverage: 'wide' },
        readings: [{ ...reading, id: randomUUID() }],
      }),
    ).toMatchObject({ status: 400 })
  })
})
