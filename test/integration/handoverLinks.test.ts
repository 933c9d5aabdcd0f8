import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { HandoverLink, NewHandoverLink } from '../../shared/handoverLink'
import type { AuditEntry } from '../../shared/people'
import { command } from './command'
import { INTAKE, testHouse, type TestHouse } from './house'
import { Visitor } from './visitor'
import { OWNER, added } from './workshopPeople'

const SETS_OWNER = 'Barge Merganser'
const house = {} as TestHouse
let owner: Visitor
let technician: Visitor
let jobId: string
beforeAll(async () => {
  Object.assign(house, await testHouse({ demo: false, setUp: false }))
  owner = new Visitor(house.address)
  await owner.request('POST', '/api/workshop', { workshop: 'Weirside Bench', owner: OWNER })
  technician = await added(owner, 'Ansel Reeve', 'technician')
  jobId = await job()
  await handOver(jobId)
}, 240_000)
afterAll(() => house.stop())

async function job(): Promise<string> {
  const id = randomUUID()
  expect((await technician.request('POST', '/api/jobs', { ...INTAKE, owner: SETS_OWNER, id })).status).toBe(
    201,
  )
  return id
}
const handOver = (id: string) =>
  technician.request('POST', `/api/jobs/${id}/events`, {
    kind: 'handed-over',
    id: randomUUID(),
    atMs: 1_795_000_000_000,
    text: 'explained',
  })
const asked = (body: object = { id: randomUUID(), days: 7 }, of = jobId, by = technician) =>
  by.request('POST', `/api/jobs/${of}/links`, body)
const made = async (body?: object) => (await asked(body)).body as NewHandoverLink
const links = async () => (await technician.request('GET', `/api/jobs/${jobId}/links`)).body as HandoverLink[]
/** As the owner of the set opens it: nobody is signed in. */
const open = (path: string, language = 'en') =>
  fetch(house.address + path, { headers: { 'accept-language': language } })
async function asDatabaseOwner(sql: string, values: unknown[]) {
  const db = new pg.Client({ connectionString: house.cluster.adminUrl })
  await db.connect()
  await db.query(sql, values)
  await db.end()
}

describe("an owner's link", () => {
  it('opens his copy of the handover without signing in, nothing else, and is kept by nobody', async () => {
    const { path } = await made()
    const answer = await open(path)
    expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/pdf'])
    expect(answer.headers.get('cache-control')).toBe('no-store')
    expect(answer.headers.get('referrer-policy')).toBe('no-referrer')
    const paper = Buffer.from(await answer.arrayBuffer())
    const copy = await technician.open(`/api/jobs/${jobId}/handover.pdf?copy=owner&issue=1`)
    expect(paper.equals(Buffer.from(await copy.arrayBuffer()))).toBe(true)
    for (const other of [`/api/jobs/${jobId}`, `/api/jobs/${jobId}/handover.pdf?copy=shop`, '/api/jobs'])
      expect((await fetch(house.address + other)).status).toBe(401)
    expect((await links())[0]).toMatchObject({ timesRead: 1 })
  })
  it('shows the newest issue, when one was made after it', async () => {
    const { path } = await made()
    const first = Buffer.from(await (await open(path)).arrayBuffer())
    await handOver(jobId)
    const second = Buffer.from(await (await open(path)).arrayBuffer())
    expect(second.equals(first)).toBe(false)
  })
  it('asked for twice with one id is one link, and the newer secret opens it', async () => {
    const before = (await links()).length
    const body = { id: randomUUID(), days: 30 }
    const [lost, again] = [await made(body), await made(body)]
    expect(await links()).toHaveLength(before + 1)
    expect([(await open(lost.path)).status, (await open(again.path)).status]).toEqual([404, 200])
    expect((await asked(body, await handedOverJob())).status).toBe(409)
  })
  const handedOverJob = async () => {
    const id = await job()
    await handOver(id)
    return id
  }
  it('opens nothing when it is ended, when its time is over, or when it never was', async () => {
    const ended = await made()
    const { id } = ended.links[0]!
    expect((await technician.request('DELETE', `/api/handover-links/${id}`)).status).toBe(200)
    expect((await technician.request('DELETE', `/api/handover-links/${id}`)).status).toBe(404)
    const expired = await made()
    await asDatabaseOwner(
      `update handover_link set made_at = now() - interval '8 days', expires_at = now() - interval '1 s'
        where id = $1`,
      [expired.links[0]!.id],
    )
    expect((await links()).some(l => l.id === expired.links[0]!.id)).toBe(false)
    const secrets = ['x', '%00', '..%2f..%2fapi%2fjobs', 'A'.repeat(43), 'A'.repeat(5000)]
    for (const path of [ended.path, expired.path, ...secrets.map(s => `/handed-over/${s}`)]) {
      const answer = await open(path)
      expect([path, answer.status, answer.headers.get('content-type')]).toEqual([
        path,
        404,
        'text/plain; charset=utf-8',
      ])
      expect(await answer.text()).toMatch(/does not open anything/)
    }
    expect(await (await open(ended.path, 'es-ES,es')).text()).toMatch(/no abre nada/)
  })
  it('is made by who may hand over, for a set that was handed over, and stands in the audit', async () => {
    expect(await asked(undefined, await job())).toMatchObject({
      status: 409,
      error: { code: 'unknown-issue' },
    })
    const reader = await added(owner, 'Orla Tench', 'reader')
    expect((await asked(undefined, jobId, reader)).status).toBe(403)
    expect((await asked({ id: randomUUID(), days: 9999 })).status).toBe(400)
    const audit = (await owner.request('GET', '/api/audit')).body as AuditEntry[]
    expect(audit.filter(e => e.action.startsWith('link-')).map(e => [e.action, e.name])).toEqual(
      expect.arrayContaining([
        ['link-made', 'Ansel Reeve'],
        ['link-ended', 'Ansel Reeve'],
      ]),
    )
  })
  it('goes when the owner is erased', async () => {
    const { path } = await made()
    const env = { DATABASE_URL: house.cluster.adminUrl }
    expect((await command('erase', [SETS_OWNER, 'asked', '--yes'], env)).status).toBe(0)
    expect((await open(path)).status).toBe(404)
    expect(await links()).toEqual([])
  })
})
