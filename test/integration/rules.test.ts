import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobRecord } from '../../core/record'
import { ruleSet } from '../../core/rules'
import type { OwnRuleSet } from '../../shared/ruleSet'
import { toBody } from '../../shared/ownRuleSet'
import { rowTaken } from '../fixtures/jobEvents'
import { testHouse, type TestHouse } from './house'

const house = {} as TestHouse
beforeAll(async () => void Object.assign(house, await testHouse({ demo: false })))
afterAll(() => house.stop())

const body = (highW: number) => {
  const from = toBody(ruleSet('R-UK27'))
  return {
    ...from,
    name: 'Licence of the lock',
    limits: [{ ...from.limits[0]!, id: 'L1', high: highW, words: `at most ${highW} W` }],
  }
}

describe('schools', () => {
  it('are chosen for the shop and hold for jobs that begin then; earlier ones keep theirs', async () => {
    const before = await house.newJob()
    expect(await house.request('PUT', '/api/schools/S01', { optionId: 'c' })).toMatchObject({
      status: 200,
      body: { S01: 'c' },
    })
    const after = await house.newJob()
    const schools = async (id: string) =>
      ((await house.request('GET', `/api/jobs/${id}`)).body as { job: { schools: object } }).job.schools
    expect([await schools(before), await schools(after)]).toEqual([{}, { S01: 'c' }])
    expect(await house.request('PUT', '/api/schools/S01', { optionId: 'b' })).toMatchObject({ body: {} })
    expect(await house.request('PUT', '/api/schools/S01', { optionId: 'z' })).toMatchObject({ status: 422 })
  })
})

describe('rule sets of one\u2019s own', () => {
  it('are in force on a job, correct every view when they are corrected, and leave what was signed alone', async () => {
    const { body: own } = (await house.request('POST', '/api/rule-sets', body(10))) as { body: OwnRuleSet }
    const jobId = await house.newJob({ ruleSetId: own.id })
    await house.request(
      'POST',
      `/api/jobs/${jobId}/events`,
      rowTaken('as-found', null, 'high-20', { powerW: 6 }),
    )
    const record = async () =>
      (await house.request('GET', `/api/jobs/${jobId}/record.json`)).body as JobRecord
    const limitOf = (r: JobRecord) => [r.ruleSet.name, r.ruleSet.limits[0]!.bound.high]
    expect(limitOf(await record())).toEqual(['Licence of the lock', 10])
    await house.request('POST', `/api/jobs/${jobId}/events`, {
      kind: 'handed-over',
      id: crypto.randomUUID(),
      atMs: 5,
      text: '',
    })
    expect(await house.request('PUT', `/api/rule-sets/${own.id}`, { ...body(5), version: 1 })).toMatchObject({
      status: 200,
      body: { version: 2 },
    })
    expect(limitOf(await record())).toEqual(['Licence of the lock', 5])
    expect(
      limitOf((await house.request('GET', `/api/jobs/${jobId}/issues/1/record.json`)).body as JobRecord),
    ).toEqual(['Licence of the lock', 10])
    expect(await house.request('GET', '/api/jobs')).toMatchObject({ status: 200 })
  })
  it('are refused in words when they cannot be, and never overwritten silently', async () => {
    const { body: own } = (await house.request('POST', '/api/rule-sets', body(10))) as { body: OwnRuleSet }
    expect(await house.request('POST', '/api/rule-sets', { ...body(10), source: '' })).toMatchObject({
      status: 400,
      error: { message: expect.stringMatching(/Source/) as string },
    })
    await house.request('PUT', `/api/rule-sets/${own.id}`, { ...body(4), version: 1 })
    expect(await house.request('PUT', `/api/rule-sets/${own.id}`, { ...body(3), version: 1 })).toMatchObject({
      status: 409,
      error: { code: 'changed-meanwhile' },
    })
    expect(
      await house.request('PUT', '/api/rule-sets/OWN-FFFFFFFF', { ...body(3), version: 1 }),
    ).toMatchObject({ status: 404 })
    expect(await house.request('PUT', '/api/rule-sets/R-EU', { ...body(3), version: 1 })).toMatchObject({
      status: 404,
    })
    expect(
      await house.request('POST', '/api/jobs', {
        id: crypto.randomUUID(),
        owner: 'x',
        contact: '',
        sheetId: 'osmund-27f',
        ruleSetId: 'OWN-FFFFFFFF',
        serial: '1',
        complaint: 'x',
        claims: [],
        accessories: '',
        mayDo: '',
        promisedOn: null,
      }),
    ).toMatchObject({ status: 422, error: { code: 'unknown-rule-set' } })
  })
})
