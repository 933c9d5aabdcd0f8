import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { AuditEntry, Passkey } from '../../shared/people'
import { Authenticator } from './authenticator'
import { testHouse, type TestHouse } from './house'
import { Visitor } from './visitor'
import { OWNER, PASSWORD, added, me } from './workshopPeople'

const house = {} as TestHouse
let owner: Visitor
/** The same server by its name. */
let named = ''

beforeAll(async () => {
  Object.assign(house, await testHouse({ demo: false, setUp: false }))
  named = house.address.replace('127.0.0.1', 'localhost')
  owner = new Visitor(named)
  await owner.request('POST', '/api/workshop', { workshop: 'Weirside Bench', owner: OWNER })
})
afterAll(() => house.stop())

type Asked = { challenge: string }
const from = (visitor: Visitor, origin = visitor.address) => ({
  send: (method: string, path: string, body?: unknown) => visitor.request(method, path, body, { origin }),
})
const offered = async (visitor: Visitor, password = PASSWORD) =>
  from(visitor).send('POST', '/api/me/passkeys/offer', { password })
const asked = async (visitor: Visitor) =>
  (await from(visitor).send('POST', '/api/sign-in/passkey/offer', {})).body as Asked
const answer = (visitor: Visitor, response: object) =>
  from(visitor).send('POST', '/api/sign-in/passkey', response)
const keep = (visitor: Visitor, response: object, name = 'Tablet') =>
  from(visitor).send('POST', '/api/me/passkeys', { id: randomUUID(), name, response })

/** Somebody with a passkey on a device of his own. */
async function withPasskey(name: string): Promise<{ person: Visitor; device: Authenticator }> {
  const person = await added(owner, name, 'technician')
  const device = new Authenticator(named)
  const { status } = await keep(person, device.made((await offered(person)).body as Asked))
  expect(status).toBe(201)
  return { person, device }
}

describe('a passkey', () => {
  it('is made with the present password, signs in by itself, and is told with its use', async () => {
    expect((await me(new Visitor(named))).hasPasskeys).toBe(false)
    const { person, device } = await withPasskey('Ansel Reeve')
    const before = (await person.request('GET', '/api/me/passkeys')).body as Passkey[]
    expect(before).toMatchObject([{ name: 'Tablet', host: 'localhost', usedAtMs: null }])
    const tablet = new Visitor(named)
    expect((await me(tablet)).hasPasskeys).toBe(true)
    expect((await me(new Visitor(house.address))).hasPasskeys).toBe(false)
    expect((await answer(tablet, device.signed(await asked(tablet)))).status).toBe(204)
    expect((await me(tablet)).person?.name).toBe('Ansel Reeve')
    const after = (await person.request('GET', '/api/me/passkeys')).body as Passkey[]
    expect(after[0]!.usedAtMs).toBeGreaterThan(0)
    const audit = (await owner.request('GET', '/api/audit')).body as AuditEntry[]
    expect(audit.map(e => `${e.name}: ${e.action}`)).toEqual(
      expect.arrayContaining(['Ansel Reeve: passkey-added', 'Ansel Reeve: signed-in']),
    )
  })

  it('is not offered to a wrong password, nor under a bare address', async () => {
    const person = await added(owner, 'Piers Ludlow', 'technician')
    expect((await offered(person, 'not the password')).error?.code).toBe('wrong-secret')
    const bare = new Visitor(house.address)
    await bare.signIn('Piers Ludlow', PASSWORD)
    const refused = await offered(bare)
    expect([refused.status, refused.error?.code]).toEqual([409, 'needs-a-name'])
  })

  it('is refused when the answer is for another challenge, another person or another page', async () => {
    const [one, two] = [
      await added(owner, 'Wilmot Reach', 'technician'),
      await added(owner, 'Sefton Marl', 'technician'),
    ]
    const offer = (await offered(one)).body as Asked
    const refused = async (visitor: Visitor, response: object) => (await keep(visitor, response)).error?.code
    const device = new Authenticator(named)
    expect(await refused(one, device.made({ challenge: 'bm90IG9mIG91cnM' }))).toBe('passkey-refused')
    expect(await refused(two, device.made(offer))).toBe('passkey-refused')
    const other = new Authenticator('http://localhost:1')
    expect(await refused(one, other.made(offer))).toBe('passkey-refused')
    // A challenge is answered once, however it was answered.
    expect(await refused(one, device.made(offer))).toBe('passkey-refused')
    expect((await one.request('GET', '/api/me/passkeys')).body).toEqual([])
  })

  it('of a device is kept once', async () => {
    const { device } = await withPasskey('Tobin Ashlar')
    const other = await added(owner, 'Hanneke Broad', 'technician')
    const again = await keep(other, device.made((await offered(other)).body as Asked))
    expect([again.status, again.error?.code]).toEqual([409, 'id-reused'])
  })

  it('signs in neither by an old answer, nor a copy of the key, nor without proof of who holds it', async () => {
    const { device } = await withPasskey('Isolde Wharf')
    const stranger = new Visitor(named)
    const first = device.signed(await asked(stranger))
    expect((await answer(stranger, first)).status).toBe(204)
    await stranger.request('POST', '/api/sign-out', {})
    expect((await answer(stranger, first)).status).toBe(401)
    device.counter -= 1
    expect((await answer(stranger, device.signed(await asked(stranger)))).status).toBe(401)
    device.counter += 1
    const onlyPresent = 0x01
    expect((await answer(stranger, device.signed(await asked(stranger), onlyPresent))).status).toBe(401)
    const unknown = await answer(stranger, new Authenticator(named).signed(await asked(stranger)))
    expect([unknown.status, unknown.error?.code]).toEqual([401, 'wrong-secret'])
    expect((await answer(stranger, device.signed(await asked(stranger)))).status).toBe(204)
  })

  it('signs in nobody who may not, and nobody after it was removed', async () => {
    const { person, device } = await withPasskey('Odile Fenn')
    const [passkey] = (await person.request('GET', '/api/me/passkeys')).body as Passkey[]
    const other = await added(owner, 'Bram Tolley', 'technician')
    expect((await other.request('DELETE', `/api/me/passkeys/${passkey!.id}`)).status).toBe(404)
    expect((await person.request('DELETE', `/api/me/passkeys/${passkey!.id}`)).body).toEqual([])
    const stranger = new Visitor(named)
    expect((await answer(stranger, device.signed(await asked(stranger)))).status).toBe(401)
  })

  it('is gone with a password that the owner sets anew', async () => {
    const { person, device } = await withPasskey('Leona Pike')
    const { personId } = (await me(person)).person!
    const password = 'a longer one than before'
    expect((await owner.request('PUT', `/api/people/${personId}/password`, { password })).status).toBe(204)
    const stranger = new Visitor(named)
    expect((await answer(stranger, device.signed(await asked(stranger)))).status).toBe(401)
  })

  it('is not asked for without end', async () => {
    const stranger = new Visitor(named)
    const statuses = []
    for (let n = 0; n < 31; n++)
      statuses.push((await from(stranger).send('POST', '/api/sign-in/passkey/offer', {})).status)
    expect(statuses.at(-1)).toBe(429)
  })
})
