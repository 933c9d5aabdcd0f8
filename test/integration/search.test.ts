import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import type { ModelHistory, SearchResult } from '../../shared/search'
import { eventStruck, rowTaken, struck } from '../fixtures/jobEvents'
import { testHouse, type TestHouse } from './house'

const house = {} as TestHouse
beforeAll(async () => void Object.assign(house, await testHouse({ demo: false })))
afterAll(() => house.stop())

const intake = {
  contact: '',
  sheetId: 'osmund-27f',
  ruleSetId: 'R-UK27',
  claims: [],
  accessories: '',
  mayDo: '',
  promisedOn: null,
}
async function job(
  owner: string,
  serial: string,
  complaint: string,
): Promise<{ id: string; number: number }> {
  const { body } = await house.request('POST', '/api/jobs', {
    ...intake,
    id: crypto.randomUUID(),
    owner,
    serial,
    complaint,
  })
  return body as { id: string; number: number }
}
const ask = async (query: Record<string, string>) =>
  (await house.request('GET', `/api/search?${new URLSearchParams(query)}`)).body as SearchResult
const owners = async (query: Record<string, string>) => (await ask(query)).jobs.map(j => j.owner)
const post = (id: string, event: object) => house.request('POST', `/api/jobs/${id}/events`, event)
const note = (text: string) => ({ kind: 'note', id: crypto.randomUUID(), atMs: 1, stepId: null, text })

describe('finding a job', () => {
  it(
    'by any word of owner, serial, tag, complaint, note, part or ' +
      'cause, in any script and anywhere in the word',
    async () => {
      const a = await job(
        'Barge Heron (Marit \u00d8sterholt)',
        'SN-41877',
        'zu leise, \u0441\u043b\u0430\u0431\u043e \u0441\u043b\u044b\u0448\u043d\u043e',
      )
      await post(a.id, note('found a burnt track under the regulator'))
      await post(a.id, {
        kind: 'part-changed',
        id: crypto.randomUUID(),
        atMs: 2,
        designator: 'Q7',
        partOut: '2SC1969',
        partIn: '2SC2078',
        isFinal: true,
        text: '',
      })
      await post(a.id, {
        kind: 'cause-confirmed',
        id: crypto.randomUUID(),
        atMs: 3,
        causeId: 'regulator-shorted',
        text: '',
      })
      await job('Slate quarry', '99', 'no power')
      for (const words of [
        'heron',
        '\u00d8STERHOLT',
        '41877',
        `w-${String(a.number).padStart(4, '0')}`,
        '\u0441\u043b\u044b\u0448',
        'burnt track',
        'sc2078',
        'regulator shorted',
        'heron burnt 27f',
        'osmund 27f heron',
      ])
        expect(await owners({ words }), words).toEqual(['Barge Heron (Marit \u00d8sterholt)'])
      expect(await owners({ words: 'heron nowhere' })).toEqual([])
      expect(await owners({ words: '100%' })).toEqual([])
      expect((await ask({ words: 'burnt' })).jobs[0]!.excerpt, 'as it was written').toMatch(
        /^found a burnt track/,
      )
      expect((await ask({ words: 'heron' })).jobs[0]!.excerpt, 'the line itself shows it').toBe('')
    },
  )
  it('through filters: model, state, confirmed cause; short words among the newest', async () => {
    expect(await owners({ causeId: 'regulator-shorted' })).toHaveLength(1)
    expect(await owners({ causeId: 'coils-off' })).toEqual([])
    expect(await owners({ sheetId: 'osmund-40a' })).toEqual([])
    expect(await owners({ state: 'away' })).toEqual([])
    expect(await ask({ words: '99' })).toMatchObject({ amongNewest: 5000, jobs: [{ owner: 'Slate quarry' }] })
  })
  it('follows a corrected intake', async () => {
    const a = await job('Barge Teal', 'T1', 'deaf')
    await house.request('PATCH', `/api/jobs/${a.id}`, { owner: 'Barge Wigeon', version: 1 })
    expect([await owners({ words: 'teal' }), await owners({ words: 'wigeon' })]).toEqual([
      [],
      ['Barge Wigeon'],
    ])
  })
  it('is refused in words when it asks for something else', async () => {
    expect(await house.request('GET', '/api/search?state=lost')).toMatchObject({ status: 400 })
    expect(await house.request('GET', `/api/search?words=${'x'.repeat(300)}`)).toMatchObject({ status: 400 })
  })
})

describe('saved views', () => {
  it('are kept by name, replaced on purpose only, and forgotten', async () => {
    const view = (name: string, words: string, replaces: string | null = null) =>
      house.request('POST', '/api/search/views', {
        id: crypto.randomUUID(),
        name,
        query: { words, sheetId: '', state: 'bench', causeId: '' },
        replaces,
      })
    const first = (await view('Deaf ones', 'deaf')).body as { id: string }
    expect(await view('deaf ONES', 'threshold')).toMatchObject({ status: 409, error: { code: 'name-taken' } })
    expect(await view('deaf ONES', 'threshold', crypto.randomUUID())).toMatchObject({ status: 409 })
    expect(await view('deaf ONES', 'threshold', first.id)).toMatchObject({ status: 201 })
    const list = (await house.request('GET', '/api/search/views')).body as {
      id: string
      name: string
      query: { words: string }
    }[]
    expect(list.map(v => [v.name, v.query.words])).toEqual([['deaf ONES', 'threshold']])
    expect(await house.request('DELETE', `/api/search/views/${list[0]!.id}`)).toMatchObject({ status: 204 })
    expect(await house.request('DELETE', `/api/search/views/${list[0]!.id}`)).toMatchObject({ status: 404 })
  })
})

describe('a set against the others of its model', () => {
  it('spreads the as-found values that count, marks this one, counts confirmed causes', async () => {
    const ids: string[] = []
    for (const [i, powerW] of [2, 3, 3.5, 3.8, 9].entries()) {
      const { id } = await job(`Set ${i}`, `M${i}`, 'weak')
      ids.push(id)
      await post(id, rowTaken('as-found', null, 'high-20', { powerW }))
      await post(id, rowTaken('adjusting', 'A1.7', 'ch20', { powerW: 99 }))
    }
    const again = rowTaken('as-found', null, 'high-20', { powerW: 4.4 }) as Extract<
      JobEvent,
      { kind: 'row-taken' }
    >
    await post(ids[4]!, again)
    const cell = async (id: string) =>
      (
        (await house.request('GET', `/api/models/osmund-27f/history?job=${id}`)).body as ModelHistory
      ).spread.find(c => c.pointId === 'high-20' && c.quantity === 'powerW')!
    // Quantiles of 2, 3, 3.5, 3.8, 4.4 by linear interpolation, worked by hand.
    expect(await cell(ids[4]!)).toMatchObject({ count: 5, p10: 2.4, p25: 3, p50: 3.5, p75: 3.8, own: 4.4 })
    await post(ids[4]!, struck(again.readings[0]!.id))
    expect(await cell(ids[4]!)).toMatchObject({ own: 9, p75: 3.8 })
    const { causes } = (await house.request('GET', '/api/models/osmund-27f/history')).body as ModelHistory
    expect(causes).toEqual([{ causeId: 'regulator-shorted', count: 1 }])
    expect(await house.request('GET', '/api/models/nothing/history')).toMatchObject({ status: 422 })
  })
  it('counts no cause that was struck out', async () => {
    const { id } = await job('Barge Pochard', 'P1', 'weak')
    const cause = {
      kind: 'cause-confirmed',
      id: crypto.randomUUID(),
      atMs: 4,
      causeId: 'coils-off',
      text: '',
    } as const
    const counted = async (of = '') =>
      ((await house.request('GET', `/api/models/osmund-27f/history${of}`)).body as ModelHistory).causes.some(
        c => c.causeId === 'coils-off',
      )
    await post(id, cause)
    expect(await counted()).toBe(true)
    expect(await counted(`?job=${id}`), 'a job says nothing about itself').toBe(false)
    expect(await counted(`?job=${(await job('Barge Smew', 'S1', 'weak')).id}`)).toBe(true)
    await post(id, eventStruck(cause.id))
    expect(await counted()).toBe(false)
  })
})
