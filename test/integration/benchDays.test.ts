import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testHouse, type TestHouse } from './house'

let house: TestHouse
beforeAll(async () => {
  house = await testHouse({ demo: false })
}, 240_000)
afterAll(() => house?.stop())

const stamped = (event: object) => ({ id: randomUUID(), atMs: 1_795_000_000_000, ...event })
const post = (jobId: string, event: object) =>
  house.request('POST', `/api/jobs/${jobId}/events`, stamped(event))

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
