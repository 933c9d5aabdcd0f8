import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { refuseStrangers } from '../../scripts/lib/listening.mjs'
import { command } from './command'
import { testHouse, type TestHouse } from './house'
import { Visitor } from './visitor'

const OWNER = { name: 'Mirela Quist', password: 'two locks and a weir' }
let house: TestHouse
let owner: Visitor
beforeAll(async () => {
  house = await testHouse({ demo: false })
  owner = new Visitor(house.address)
}, 240_000)
afterAll(() => house?.stop())

const passwd = (...args: string[]) => command('passwd', args, { DATABASE_URL: house.cluster.adminUrl })
const listening = async (host: string) => {
  const before = process.env.HOST
  process.env.HOST = host
  try {
    return await refuseStrangers(house.cluster.adminUrl).then(
      () => 'starts',
      (error: Error) => error.message,
    )
  } finally {
    if (before === undefined) delete process.env.HOST
    else process.env.HOST = before
  }
}

it('a workshop without sign-in starts for this machine only, and says why', async () => {
  for (const host of ['127.0.0.1', '127.0.1.1', 'localhost', '::1'])
    expect(await listening(host)).toBe('starts')
  for (const host of ['0.0.0.0', '::', '192.168.1.20'])
    expect(await listening(host)).toMatch(/anybody on the network would be let in/)
})

describe('a lost password', () => {
  beforeAll(async () => {
    await owner.request('POST', '/api/workshop', { workshop: 'Weirside Bench', owner: OWNER })
  })
  it('of nobody here changes nothing', async () => {
    expect((await passwd()).status).toBe(2)
    expect(await passwd('Nobody')).toMatchObject({
      status: 1,
      said: expect.stringContaining('Nobody') as string,
    })
  })
  it('is made anew on the machine; every session ends, and the new one signs in', async () => {
    const { status, said } = await passwd('mirela quist')
    const [, password = ''] = /New password of Mirela Quist: (\S{19})/.exec(said) ?? []
    expect([status, password.length]).toEqual([0, 19])
    expect((await owner.request('GET', '/api/jobs')).status).toBe(401)
    expect(await owner.signIn(OWNER.name, OWNER.password)).toBe(401)
    expect(await owner.signIn(OWNER.name, password)).toBe(204)
    const audit = (await owner.request('GET', '/api/audit')).body as { about: string }[]
    expect(audit.some(e => e.about === 'npm run passwd')).toBe(true)
  })
  it('with sign-in it may listen for others', async () => {
    expect(await listening('0.0.0.0')).toBe('starts')
  })
  it('a person that is added twice by the same request is one', async () => {
    const person = { id: randomUUID(), name: 'Jory Penn', role: 'trainee', password: 'barges go by at noon' }
    for (let n = 0; n < 2; n++) expect((await owner.request('POST', '/api/people', person)).status).toBe(201)
    const { body } = await owner.request('GET', '/api/people')
    expect((body as { name: string }[]).filter(p => p.name === 'Jory Penn')).toHaveLength(1)
  })
})
