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

describe('days the bench is taken', () => {
  it('are kept once, listed while they last, and given up; a day that is none is refused by name', async () => {
    const period = { id: crypto.randomUUID(), fromDay: '2031-07-01', toDay: '2031-08-15', why: 'boat season' }
    expect(await house.request('POST', '/api/blocked-periods', period)).toMatchObject({
      status: 200,
      body: [period],
    })
    expect(await house.request('POST', '/api/blocked-periods', period)).toMatchObject({ body: [period] })
    expect(
      await house.request('POST', '/api/blocked-periods', {
        ...period,
        id: crypto.randomUUID(),
        fromDay: '2001-07-01',
        toDay: '2001-07-02',
      }),
    ).toMatchObject({ body: [period] })
    expect(
      (await house.request('POST', '/api/blocked-periods', { ...period, toDay: '2031-06-30' })).error,
    ).toMatchObject({ code: 'invalid-field', field: 'toDay' })
    expect(
      (await house.request('POST', '/api/blocked-periods', { ...period, fromDay: '2031-02-30' })).error,
    ).toMatchObject({ code: 'invalid-field', field: 'fromDay' })
    expect((await house.request('DELETE', `/api/blocked-periods/${period.id}`)).body).toEqual([])
  })
})

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

describe('the calendar of the bench', () => {
  it('holds due dates, expected parts and the end of a soak, and lets go of what is over', async () => {
    const id = await house.newJob({ promisedOn: '2026-12-04', owner: 'Comma, and; semicolon' })
    await post(id, {
      kind: 'wait-begun',
      waitsFor: 'parts',
      text: 'relay of this set',
      untilDay: '2026-12-31',
    })
    await post(id, { kind: 'soak-begun', hours: 4, text: '' })
    const calendar = async () =>
      ((await house.request('GET', '/api/calendar.ics')).body as string)
        .replace(/\r\n[ \t]/g, '')
        .split('\r\n')
    const lines = await calendar()
    expect(lines[0]).toBe('BEGIN:VCALENDAR')
    expect(lines).toContain('DTSTART;VALUE=DATE:20261204')
    expect(lines).toContain('DTEND;VALUE=DATE:20261205')
    expect(lines).toContain('DTSTART;VALUE=DATE:20261231')
    expect(lines.find(l => l.startsWith('SUMMARY:') && l.includes(' due for '))).toMatch(
      /Comma\\, and\\; semicolon/,
    )
    // 1 795 000 000 s is 2026-11-18 11:06:40 UTC; four hours later the soak ends.
    expect(lines.some(l => /^DTSTART:20261118T1506\d*Z$/.test(l))).toBe(true)
    const other = randomUUID()
    await post(id, {
      id: other,
      kind: 'wait-begun',
      waitsFor: 'parts',
      text: 'entered twice',
      untilDay: '2026-12-30',
    })
    await post(id, { kind: 'event-struck', eventId: other, reason: 'entered twice' })
    expect((await calendar()).join('\n')).not.toContain('20261230')
    await post(id, { kind: 'handed-over', text: '' })
    expect((await calendar()).join('\n')).not.toContain('relay of this set')
  })
})

describe('the bench', () => {
  const list = async () =>
    (await house.request('GET', '/api/jobs')).body as {
      job: { id: string; bench: number | null; version: number }
      warmUp: object | null
      stopped: boolean
      soakEndsAtMs: number | null
    }[]
  const of = async (id: string) => (await list()).find(j => j.job.id === id)!
  it('keeps where a set lies and in which order, and that is no change of its intake', async () => {
    const [a, b] = [await house.newJob({ serial: 'B1' }), await house.newJob({ serial: 'B2' })]
    const places = (...of: [string, number | null][]) => of.map(([id, bench]) => ({ id, bench }))
    const move = (was: object[], order: object[]) => house.request('PUT', '/api/jobs/order', { order, was })
    const lying = places([b, null], [a, null])
    const together = places([b, 2], [a, 2])
    expect(await move(lying, together)).toMatchObject({ status: 204 })
    // Another tab that still shows them on the shelf; one that was not there then does not matter.
    expect(await move(lying, places([a, 1], [b, 1]))).toMatchObject({
      status: 409,
      error: { code: 'changed-meanwhile' },
    })
    await house.newJob({ serial: 'B0' })
    expect((await list()).filter(j => j.job.bench === 2).map(j => j.job.id)).toEqual([b, a])
    expect(await move(together, places([a, 2], [b, null]))).toMatchObject({ status: 204 })
    expect([(await of(a)).job.bench, (await of(b)).job.bench, (await of(a)).job.version]).toEqual([
      2,
      null,
      1,
    ])
    expect(await move([], places([a, 77]))).toMatchObject({ status: 400 })
  })
  it('follows every event, although the list is not computed anew each time', async () => {
    const id = await house.newJob({ serial: 'B3' })
    expect(await of(id)).toMatchObject({ warmUp: null, stopped: false, soakEndsAtMs: null })
    await post(id, { kind: 'warm-up-begun', atMs: Date.now() })
    expect((await of(id)).warmUp).toMatchObject({ warmAtMs: expect.any(Number) as number })
    await post(id, { kind: 'power-tried', limitA: 1.5, idleA: 1.5, seen: 'limit', text: '' })
    expect((await of(id)).stopped).toBe(true)
    await post(id, { kind: 'soak-begun', hours: 2, text: '' })
    expect((await of(id)).soakEndsAtMs).toBe(1_795_000_000_000 + 7_200_000)
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
