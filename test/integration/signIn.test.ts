import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { AuditEntry, Person } from '../../shared/people'
import { testHouse, type TestHouse } from './house'
import { Visitor } from './visitor'
import { OWNER, PASSWORD, added, me } from './workshopPeople'

const house = {} as TestHouse
let owner: Visitor

beforeAll(async () => {
  Object.assign(house, await testHouse({ demo: false, setUp: false }))
  owner = new Visitor(house.address)
  await owner.request('POST', '/api/workshop', { workshop: 'Weirside Bench', owner: OWNER })
})
afterAll(() => house.stop())

const add = (name: string, role: Person['role']) => added(owner, name, role)

describe('passwords and PINs', () => {
  const setPin = (visitor: Visitor, pin: string, password = PASSWORD) =>
    visitor.request('PUT', '/api/me/pin', { password, pin })

  it('a PIN signs in where the person signed in by password before, and nowhere else', async () => {
    const bench = await add('Ansel Reeve', 'technician')
    const { personId } = (await me(bench)).person!
    expect((await setPin(bench, '2468', 'not the password')).status).toBe(403)
    expect((await setPin(bench, '2468')).status).toBe(204)
    await bench.request('POST', '/api/sign-out', {})
    expect(await me(bench)).toMatchObject({ person: null, known: [{ personId, name: 'Ansel Reeve' }] })
    expect((await bench.request('POST', '/api/sign-in/pin', { personId, pin: '2468' })).status).toBe(204)
    expect((await me(bench)).person?.name).toBe('Ansel Reeve')
    const elsewhere = new Visitor(house.address)
    const there = await elsewhere.request('POST', '/api/sign-in/pin', { personId, pin: '2468' })
    expect([there.status, there.error?.code]).toEqual([401, 'wrong-secret'])
  })
  it('two people share a bench: the session of the one before ends', async () => {
    const bench = await add('Sefton Marl', 'technician')
    const { personId } = (await me(bench)).person!
    await setPin(bench, '1357')
    expect(await bench.signIn(OWNER.name, OWNER.password)).toBe(204)
    expect((await me(bench)).person?.name).toBe(OWNER.name)
    await bench.request('POST', '/api/sign-in/pin', { personId, pin: '1357' })
    expect((await me(bench)).person?.name).toBe('Sefton Marl')
  })
  it('too many wrong ones are not tried any more, not even the right one', async () => {
    const bench = await add('Isolde Wharf', 'technician')
    const { personId } = (await me(bench)).person!
    await setPin(bench, '8642')
    const tries = []
    for (let n = 0; n < 6; n++)
      tries.push((await bench.request('POST', '/api/sign-in/pin', { personId, pin: '0000' })).status)
    expect(tries).toEqual([401, 401, 401, 401, 401, 429])
    expect((await bench.request('POST', '/api/sign-in/pin', { personId, pin: '8642' })).status).toBe(429)
    expect(await bench.signIn('Isolde Wharf', PASSWORD)).toBe(204)
  })
  it('wrong ones from elsewhere do not use up the tries of whoever works here', async () => {
    const bench = await add('Wilmot Reach', 'technician')
    const { personId } = (await me(bench)).person!
    await setPin(bench, '9753')
    const stranger = new Visitor(house.address)
    for (let n = 0; n < 6; n++) await stranger.request('POST', '/api/sign-in/pin', { personId, pin: '0000' })
    expect((await bench.request('POST', '/api/sign-in/pin', { personId, pin: '9753' })).status).toBe(204)
  })
  it('a name that is not there is refused as a wrong password is', async () => {
    await add('Piers Ludlow', 'technician')
    const stranger = new Visitor(house.address)
    const answers = await Promise.all(
      ['Nobody At All', 'Piers Ludlow'].map(async name => {
        const { status, error } = await stranger.request('POST', '/api/sign-in', { name, password: 'x' })
        return [status, error]
      }),
    )
    expect(answers[0]).toEqual(answers[1])
  })
  it('a new password ends every other session', async () => {
    const [here, there] = [await add('Tobin Ashlar', 'technician'), new Visitor(house.address)]
    await there.signIn('Tobin Ashlar', PASSWORD)
    const change = { old: PASSWORD, password: 'a longer one than before' }
    expect((await here.request('PUT', '/api/me/password', change)).status).toBe(204)
    expect((await me(here)).person?.name).toBe('Tobin Ashlar')
    expect((await me(there)).person).toBeNull()
    expect(await there.signIn('Tobin Ashlar', PASSWORD)).toBe(401)
    expect(await there.signIn('tobin ashlar', change.password)).toBe(204)
  })
})

describe('while the database is away', () => {
  it('whoever was signed in stays it, and nobody else is let in', async () => {
    const bench = await add('Nils Towpath', 'technician')
    await me(bench)
    await house.cluster.halt()
    try {
      expect((await me(bench)).person?.name).toBe('Nils Towpath')
      expect((await bench.request('GET', '/api/jobs')).error?.code).toBe('database-away')
      const stranger = new Visitor(house.address)
      expect((await stranger.request('GET', '/api/live')).status).toBe(401)
      expect(await stranger.signIn('Nils Towpath', PASSWORD)).toBe(503)
    } finally {
      await house.cluster.startAgain()
    }
    await expect.poll(async () => (await bench.request('GET', '/api/jobs')).status).toBe(200)
  })
})

describe('a session', () => {
  /** Moves what a session says of itself into the past. */
  const age = (name: string, column: 'seen_at' | 'begun_at', by: string) =>
    inDatabase(
      `update session s set ${column} = ${column} - interval '${by}' from person p
        where p.id = s.person_id and p.name = '${name}'`,
    )
  async function inDatabase(sql: string): Promise<number | null> {
    const client = new pg.Client({ connectionString: house.cluster.adminUrl })
    await client.connect()
    try {
      return (await client.query(sql)).rowCount
    } finally {
      await client.end()
    }
  }
  it('ends after 12 hours without use; one that is used goes on, for 7 days', async () => {
    const name = 'Maudie Lockhart'
    const bench = await add(name, 'technician')
    const who = async () => (await me(bench)).person?.name
    await age(name, 'seen_at', '11 hours')
    expect(await who()).toBe(name)
    await age(name, 'seen_at', '11 hours')
    expect(await who()).toBe(name)
    await age(name, 'begun_at', '6 days')
    expect(await who()).toBe(name)
    await age(name, 'seen_at', '13 hours')
    expect(await who()).toBeUndefined()
    await bench.signIn(name, PASSWORD)
    await age(name, 'begun_at', '7 days')
    expect(await who()).toBeUndefined()
  })
})

describe('an event stream', () => {
  /** Resolves when the server ends it. @returns null while it is refused */
  async function listen(visitor: Visitor, path: string) {
    const { body, status } = await visitor.open(path)
    return { status, ended: body ? drained(body) : Promise.resolve() }
  }
  async function drained(body: ReadableStream<Uint8Array>): Promise<void> {
    const reader = body.getReader()
    try {
      while (!(await reader.read()).done);
    } catch {
      // Cut is ended too.
    }
  }
  it('ends when its session does', async () => {
    const bench = await add('Odile Sluice', 'technician')
    const { status, ended } = await listen(bench, '/api/live')
    expect(status).toBe(200)
    await bench.request('POST', '/api/sign-out', {})
    await ended
    expect((await listen(bench, '/api/live')).status).toBe(401)
  })
  it('is one of a number that a session may hold', async () => {
    const bench = await add('Rafe Towline', 'technician')
    const streams = []
    for (let n = 0; n < 25; n++) streams.push(await listen(bench, '/api/live'))
    expect(streams.map(s => s.status)).toEqual([...Array(24).fill(200), 429])
    await bench.request('POST', '/api/sign-out', {})
    await Promise.all(streams.map(s => s.ended))
  })
})

describe('the owner', () => {
  const people = async () => (await owner.request('GET', '/api/people')).body as Person[]
  const change = (p: Person, to: Partial<Person>) => {
    const { name, role, active, version } = { ...p, ...to }
    return owner.request('PUT', `/api/people/${p.id}`, { name, role, active, version })
  }
  it('ends somebody\u2019s sessions at once', async () => {
    const gone = await add('Corin Slate', 'technician')
    const person = (await people()).find(p => p.name === 'Corin Slate')!
    expect((await change(person, { active: false })).status).toBe(200)
    expect((await gone.request('GET', '/api/jobs')).status).toBe(401)
    expect(await gone.signIn('Corin Slate', PASSWORD)).toBe(401)
    // Seen before the change: not overwritten.
    expect((await change(person, { role: 'reader' })).error?.code).toBe('changed-meanwhile')
  })
  it('stays one while there is no other', async () => {
    const self = (await people()).find(p => p.name === OWNER.name)!
    for (const to of [{ role: 'reader' as const }, { active: false }]) {
      const { status, error } = await change(self, to)
      expect([status, error?.field]).toEqual([409, 'role'])
    }
  })
  it('cannot give two people one name', async () => {
    const [first] = await people()
    const twice = { id: randomUUID(), name: first!.name.toUpperCase(), role: 'reader', password: PASSWORD }
    expect((await owner.request('POST', '/api/people', twice)).error).toMatchObject({
      code: 'name-taken',
      field: 'name',
    })
  })
  it('sees who did what, and no secret in it', async () => {
    const entries = (await owner.request('GET', '/api/audit')).body as AuditEntry[]
    expect(new Set(entries.map(e => e.action))).toEqual(
      new Set([
        'workshop-set-up',
        'signed-in',
        'sign-in-failed',
        'signed-out',
        'person-added',
        'person-barred',
        'password-changed',
        'pin-changed',
      ]),
    )
    expect(JSON.stringify(entries)).not.toContain(PASSWORD)
  })
})
