import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { seeded } from '../../scripts/lib/faults/seeded.mjs'
import { anything, mutated, sent } from '../fixtures/fuzz'
import { HOSTILE_NAMES } from '../fixtures/hostile'
import { command } from './command'
import { INTAKE, testHouse, type TestHouse } from './house'
import { ROUTES, badAnswer, filled } from './probe'
import { validRequests } from './validRequests'
import { Visitor } from './visitor'
import { OWNER } from './workshopPeople'

/** Bodies for each route that changes something, and from where their chance begins; 500 were sent once. */
const BODIES = Number(process.env.FUZZ_BODIES ?? 20)
const SEED = Number(process.env.FUZZ_SEED ?? 27)
/** It ends the session that the others need. */
const ENDS_SESSION = '/api/sign-out'

const house = {} as TestHouse
let owner: Visitor
let jobId: string
beforeAll(async () => {
  Object.assign(house, await testHouse({ demo: false, setUp: false }))
  owner = new Visitor(house.address)
  await owner.request('POST', '/api/workshop', { workshop: 'Weirside Bench', owner: OWNER })
  jobId = randomUUID()
  expect((await owner.request('POST', '/api/jobs', { ...INTAKE, id: jobId })).status).toBe(201)
})
afterAll(() => house.stop())

it('whatever somebody signed in sends, the answer has words, no server error, and the records stay whole', async () => {
  const random = seeded(SEED)
  const ids = [jobId, randomUUID(), ...HOSTILE_NAMES]
  const answers: (string | null)[] = []
  const valid = validRequests(jobId)
  for (const { method, path } of ROUTES.filter(r => r.method !== 'GET' && r.path !== ENDS_SESSION)) {
    const bodies = valid.filter(v => v.method === method && isOf(v.path, path)).map(v => v.body)
    for (let n = 0; n < BODIES; n++) {
      const like = bodies[Math.floor(random() * bodies.length)]
      const body = like === undefined ? anything(random) : mutated(random, like)
      // A job that is there is what most of them need to get far.
      const id = random() < 0.7 ? jobId : ids[Math.floor(random() * ids.length)]!
      const route = { method, path: filled(path, id) }
      answers.push(await badAnswer(house, route, sent(random, body), owner.cookieHeader()))
    }
  }
  expect(answers.filter(a => a !== null)).toEqual([])
  expect(answers.length).toBeGreaterThan(BODIES * 30)
  expect((await owner.request('GET', '/api/me')).body).toMatchObject({ person: { name: OWNER.name } })
  for (const path of ['/api/jobs', `/api/jobs/${jobId}`, '/api/people', '/api/sheets', '/api/calendar.ics'])
    expect([path, (await owner.request('GET', path)).status]).toEqual([path, 200])
  expect(await command('check', [], { DATABASE_URL: house.cluster.adminUrl })).toMatchObject({ status: 0 })
}, 1_800_000)

/** Whether a path is one of a route's: /api/jobs/7/events of /api/jobs/[id]/events. */
function isOf(path: string, route: string): boolean {
  return new RegExp(`^${route.replace(/\[\w+\]/g, '[^/]+')}$`).test(path)
}
