import { randomUUID } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import type { Person } from '../../shared/people'
import { rowTaken } from '../fixtures/jobEvents'
import { INTAKE, testHouse, type TestHouse } from './house'
import type { ModelHistory } from '../../shared/search'
import { Visitor } from './visitor'
import { OWNER, added, me } from './workshopPeople'

const house = {} as TestHouse
let owner: Visitor

beforeAll(async () => {
  Object.assign(house, await testHouse({ demo: false, setUp: false }))
  owner = new Visitor(house.address)
})
afterAll(() => house.stop())

const add = (name: string, role: Person['role']) => added(owner, name, role)
const eventsOf = async (jobId: string) =>
  ((await owner.request('GET', `/api/jobs/${jobId}`)).body as { events: JobEvent[] }).events

describe('the first start', () => {
  it('is still to come, and whoever sits here is let in', async () => {
    expect(await me(owner)).toMatchObject({ isSetUp: false, signIn: false, person: null })
    expect((await owner.request('GET', '/api/jobs')).status).toBe(200)
  })
  it.each([
    ['a short password', { name: 'Mirela', password: 'elevenchars' }, 'owner.password'],
    ['the name as password', { name: 'Mirela Quist', password: 'mirela quist1' }, 'owner.password'],
    ['a usual password', { name: 'Mirela', password: 'password2026' }, 'owner.password'],
    ['no name', { name: ' ', password: OWNER.password }, 'owner.name'],
  ])('refuses %s', async (_, person, field) => {
    const { status, error } = await owner.request('POST', '/api/workshop', { workshop: 'W', owner: person })
    expect([status, error?.field]).toEqual([400, field])
  })
  it('can be without sign-in, and sign-in brought in later; never taken back', async () => {
    const first = { workshop: 'Weirside Bench', owner: null, ruleSetId: 'R-US' }
    const alone = await owner.request('POST', '/api/workshop', first)
    expect(alone.status).toBe(204)
    const { workshop, ruleSetId } = first
    expect(await me(owner)).toMatchObject({ isSetUp: true, signIn: false, workshop, ruleSetId })
    const set = await owner.request('POST', '/api/workshop', { workshop: 'Weirside Bench', owner: OWNER })
    expect(set.status).toBe(204)
    expect(await me(owner)).toMatchObject({
      signIn: true,
      ruleSetId,
      person: { name: OWNER.name, role: 'owner' },
    })
    for (const other of [owner, new Visitor(house.address)]) {
      const again = await other.request('POST', '/api/workshop', { workshop: 'Mine', owner: null })
      expect([again.status, again.error?.code]).toEqual([409, 'already-set-up'])
    }
  })
  it('has a rule set for new jobs that exists, or as each sheet says', async () => {
    const chosen = (ruleSetId: string | null) => owner.request('PUT', '/api/workshop/rules', { ruleSetId })
    expect(await chosen('R-NOWHERE')).toMatchObject({ status: 422, error: { code: 'unknown-rule-set' } })
    expect((await me(owner)).ruleSetId).toBe('R-US')
    for (const ruleSetId of ['R-EU', null]) {
      expect((await chosen(ruleSetId)).status).toBe(200)
      expect((await me(owner)).ruleSetId).toBe(ruleSetId)
    }
  })
  it('gives a cookie that no script reads and no other site sends', () => {
    const cookie = owner.seen.find(c => c.startsWith('diapason_session='))!
    expect(cookie).toMatch(/; HttpOnly/)
    expect(cookie).toMatch(/; SameSite=Strict/)
    expect(cookie.split(';')[0]!.length).toBeGreaterThan(40)
  })
})

describe('every route', () => {
  /** As the files of the routes say it: a route that is added is in here. */
  const routes = readdirSync('server/api', { recursive: true, encoding: 'utf8' })
    .filter(file => /\.(get|post|put|patch|delete)\.ts$/.test(file))
    .map(file => {
      const [, path = '', method = ''] = /^(.*)\.(get|post|put|patch|delete)\.ts$/.exec(file)!
      return {
        method: method.toUpperCase(),
        path: `/api/${path}`
          .replace(/\/index$/, '')
          .replaceAll(/\[\w+\]/g, '00000000-0000-4000-8000-000000000000'),
      }
    })
  const isOpen = ({ path }: { path: string }) =>
    /^\/api\/(health|me|workshop|sign-in(\/pin|\/passkey(\/offer)?)?|sign-out|texts\/.*)$/.test(path)
  const send = (visitor: Visitor, { method, path }: { method: string; path: string }) =>
    visitor.request(method, path, method === 'GET' ? undefined : {})

  it('lets nobody in who is not signed in', async () => {
    expect(routes.length).toBeGreaterThan(60)
    const stranger = new Visitor(house.address)
    for (const route of routes.filter(r => !isOpen(r))) {
      const { status, error } = await send(stranger, route)
      expect([route, status, error?.code]).toEqual([route, 401, 'sign-in-needed'])
    }
  })
  it('that changes something is refused to a reader', async () => {
    const reader = await add('Ottoline Vane', 'reader')
    for (const route of routes.filter(
      r => r.method !== 'GET' && !isOpen(r) && !r.path.startsWith('/api/me/'),
    )) {
      const { status, error } = await send(reader, route)
      expect([route, status, error?.code]).toEqual([route, 403, 'not-allowed'])
    }
    expect((await reader.request('GET', '/api/jobs')).status).toBe(200)
  })
  it('of people is the owner\u2019s', async () => {
    const technician = await add('Piers Ludlow', 'technician')
    for (const route of routes.filter(r => /^\/api\/(people|audit)/.test(r.path)))
      expect((await send(technician, route)).status).toBe(403)
  })
})

describe('an entry', () => {
  let technician: Visitor
  let jobId = ''
  const note = (): JobEvent => ({
    kind: 'note',
    id: randomUUID(),
    atMs: 1_796_000_000_000,
    stepId: null,
    text: 'looked',
  })
  beforeAll(async () => {
    technician = await add('Hanneke Broad', 'technician')
    jobId = randomUUID()
    expect((await technician.request('POST', '/api/jobs', { ...INTAKE, id: jobId })).status).toBe(201)
  })

  it('carries who entered it; nobody can say it was somebody else', async () => {
    const event = note()
    expect((await technician.request('POST', `/api/jobs/${jobId}/events`, event)).status).toBe(201)
    expect((await eventsOf(jobId)).at(-1)).toMatchObject({ author: { name: 'Hanneke Broad' } })
    const forged = { ...note(), author: { personId: randomUUID(), name: 'Mirela Quist' } }
    expect((await technician.request('POST', `/api/jobs/${jobId}/events`, forged)).status).toBe(400)
  })
  it('sent again by somebody else stays whose it was', async () => {
    const event = note()
    await technician.request('POST', `/api/jobs/${jobId}/events`, event)
    const again = await owner.request('POST', `/api/jobs/${jobId}/events`, event)
    expect([again.status, (again.body as { isNew: boolean }).isNew]).toEqual([200, false])
    expect((await eventsOf(jobId)).at(-1)).toMatchObject({ author: { name: 'Hanneke Broad' } })
  })
  it('that waited while somebody else signed in is not theirs', async () => {
    const { person } = await me(technician)
    const by = { 'x-entered-by': person!.personId }
    const refused = await owner.request('POST', `/api/jobs/${jobId}/events`, note(), by)
    expect([refused.status, refused.error?.code]).toEqual([409, 'other-person'])
    const before = note()
    await owner.request('POST', `/api/jobs/${jobId}/events`, before, { 'x-entered-by': 'nobody' })
    expect((await eventsOf(jobId)).at(-1)).toEqual(before)
  })
  it('names who corrected, whatever name was remembered at the screen', async () => {
    const confirmed = {
      kind: 'line-confirmed',
      id: randomUUID(),
      atMs: 1_796_000_000_001,
      line: 'adjuster/CT2/where',
      who: 'Somebody',
    }
    expect((await technician.request('POST', `/api/jobs/${jobId}/events`, confirmed)).status).toBe(201)
    expect((await eventsOf(jobId)).at(-1)).toMatchObject({ who: 'Hanneke Broad' })
  })
  it('is in the readings of the workshop with its author', async () => {
    const row = rowTaken('as-found', null, 'high-20', { powerW: 2.8 })
    expect((await technician.request('POST', `/api/jobs/${jobId}/events`, row)).status).toBe(201)
    expect((await owner.request('GET', '/api/readings.csv')).body).toContain('Hanneke Broad')
  })
  describe('of a trainee', () => {
    let trainee: Visitor
    const enter = (by: Visitor, event: object) => by.request('POST', `/api/jobs/${jobId}/events`, event)
    const inCsv = async () =>
      ((await owner.request('GET', '/api/readings.csv')).body as string).includes('4.321')
    const reviewed = (eventIds: string[], released = true) => ({
      kind: 'entries-reviewed',
      id: randomUUID(),
      atMs: 1_796_000_000_009,
      eventIds,
      released,
      text: '',
    })
    beforeAll(async () => {
      trainee = await add('Jory Penn', 'trainee')
    })

    it('waits on a customer’s set until a technician has released it', async () => {
      const row = rowTaken('as-found', null, 'high-20', { powerW: 4.321 })
      expect((await enter(trainee, row)).status).toBe(201)
      expect((await enter(trainee, row)).status).toBe(200)
      expect((await eventsOf(jobId)).at(-1)).toMatchObject({
        unreleased: true,
        author: { name: 'Jory Penn' },
      })
      expect(await inCsv()).toBe(false)
      expect((await enter(trainee, reviewed([row.id]))).status).toBe(403)
      const inSpread = async () =>
        (
          (await owner.request('GET', `/api/models/osmund-27f/history?job=${jobId}`)).body as ModelHistory
        ).spread.some(c => c.own === 4.321)
      expect(await inSpread()).toBe(false)
      for (const [released, counts] of [
        [true, true],
        [false, false],
        [true, true],
      ] as const) {
        expect((await enter(technician, reviewed([row.id], released))).status).toBe(201)
        expect([await inCsv(), await inSpread()]).toEqual([counts, counts])
      }
    })
    it('is not one that a technician has to make', async () => {
      for (const event of [
        { kind: 'handed-over', id: randomUUID(), atMs: 1_796_000_000_000, text: '' },
        {
          kind: 'cause-confirmed',
          id: randomUUID(),
          atMs: 1_796_000_000_000,
          causeId: 'coils-off',
          text: '',
        },
      ])
        expect(await enter(trainee, event)).toMatchObject({ status: 403, error: { code: 'not-allowed' } })
    })
    it('cannot be said to be one, or released where it does not wait', async () => {
      expect((await enter(technician, { ...note(), unreleased: true })).status).toBe(400)
      const own = note()
      await enter(technician, own)
      for (const id of [own.id, randomUUID()])
        expect(await enter(technician, reviewed([id]))).toMatchObject({
          status: 409,
          error: { code: 'unknown-event' },
        })
    })
  })
})
