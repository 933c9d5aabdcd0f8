import { existsSync, readFileSync, readlinkSync, readdirSync } from 'node:fs'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { descendantsOf } from '../../scripts/lib/processTree.mjs'
import { testHouse, type TestHouse } from './house'

let house: TestHouse
beforeAll(async () => {
  house = await testHouse()
}, 180_000)
afterAll(() => house.stop())

async function refusalOf(url: string, query = 'select 1'): Promise<string> {
  const client = new pg.Client({ connectionString: url })
  try {
    await client.connect()
    await client.query(query)
    return ''
  } catch (error) {
    return (error as Error).message
  } finally {
    await client.end().catch(() => {})
  }
}

describe('The private database', () => {
  it('is entered over the network by the application alone, and by its password alone', async () => {
    const url = new URL(house.env.DATABASE_URL!)
    expect(await refusalOf(url.href)).toBe('')
    url.password = ''
    expect(await refusalOf(url.href)).toMatch(/password/)
    url.password = 'guessed'
    expect(await refusalOf(url.href)).toMatch(/password authentication failed/)
    url.username = 'diapason'
    expect(await refusalOf(url.href)).toMatch(/no pg_hba.conf entry/)
  })

  it.each([
    ['read files of the machine', "select pg_read_file('/etc/hostname')"],
    ['run programs', "copy job from program 'id'"],
    ['change an entry', "update job_event set kind = 'note'"],
    ['remove a reading', 'delete from reading'],
    ['empty a table', 'truncate job cascade'],
    ['change a frozen record', 'update handover_issue set number = 2'],
    ['switch a rule off', 'alter table job_event disable trigger all'],
    ['make a table', 'create table mine ()'],
    ['become superuser', 'alter role current_user superuser'],
    ['claim another version', 'update schema_version set version = 1'],
  ])('does not let the application %s', async (_, query) => {
    expect(await refusalOf(house.env.DATABASE_URL!, query)).toMatch(/permission denied|must be (owner|super)/)
  })
})

describe('What listens', () => {
  it('listens on this machine only', () => {
    const sockets = listening()
    const ports = [house.env.DATABASE_URL, house.env.GATEWAY_URL, house.env.BENCH_URL, house.address].map(
      url => Number(new URL(url!).port),
    )
    for (const port of ports) expect([port, addressesOf(sockets, port)]).toEqual([port, [LOOPBACK]])
    const ours = sockets.filter(s => isOurs(s.inode))
    expect(ours.length).toBeGreaterThanOrEqual(ports.length - 1)
    expect(ours.filter(s => s.address !== LOOPBACK)).toEqual([])
  })
})

describe('The processes beside the web server', () => {
  it('answer nobody who does not know the key of this start', async () => {
    for (const [url, path] of [
      [house.env.GATEWAY_URL!, '/health'],
      [house.env.BENCH_URL!, '/state'],
    ] as const) {
      expect((await fetch(url + path)).status).toBe(200)
      const { origin } = new URL(url)
      for (const other of [path, `/${'0'.repeat(48)}${path}`, '/'])
        expect([other, (await fetch(origin + other)).status]).toEqual([other, 404])
    }
  })

  it('come back on the ports they had when they are started again', async () => {
    const links = async () => {
      const text = (await (await fetch(`${house.env.BENCH_URL}/state`)).json()) as {
        instruments: { key: string; port: number }[]
      }
      return text.instruments.map(i => [i.key, i.port])
    }
    const before = await links()
    process.kill(pidOf('bench.mjs'), 'SIGKILL')
    await expect.poll(() => links().catch(() => null), { timeout: 10_000 }).toEqual(before)
  })
})

/** A process that this test started, by a word of its command. */
function pidOf(word: string): number {
  return descendantsOf(process.pid).find(pid => readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(word))!
}

/** 127.0.0.1 as the kernel writes it. */
const LOOPBACK = '0100007F'
const LISTEN = '0A'

interface Listening {
  readonly address: string
  readonly port: number
  readonly inode: string
}

function listening(): Listening[] {
  return ['/proc/net/tcp', '/proc/net/tcp6'].filter(existsSync).flatMap(file =>
    readFileSync(file, 'utf8')
      .split('\n')
      .slice(1)
      .map(line => line.trim().split(/\s+/))
      .filter(fields => fields[3] === LISTEN)
      .map(fields => {
        const [address, port] = fields[1]!.split(':')
        return { address: address!, port: parseInt(port!, 16), inode: fields[9]! }
      }),
  )
}

const addressesOf = (sockets: readonly Listening[], port: number) =>
  sockets.filter(s => s.port === port).map(s => s.address)

/** Whether a process that this test started holds the socket: the simulated instruments open some too. */
function isOurs(inode: string): boolean {
  return descendantsOf(process.pid).some(pid => {
    try {
      return readdirSync(`/proc/${pid}/fd`).some(
        fd => readlinkSync(`/proc/${pid}/fd/${fd}`) === `socket:[${inode}]`,
      )
    } catch {
      return false
    }
  })
}
