import { spawn, type ChildProcess } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

/** The launcher as a person uses it, on a folder of its own. */
const folder = mkdtempSync(join(tmpdir(), 'diapason-launch-'))
const started: ChildProcess[] = []

function demo(script = 'scripts/demo.mjs', where = folder, port = '0', settings = {}) {
  const child = spawn(process.execPath, [script], {
    env: { ...process.env, DIAPASON_DATA: where, PORT: port, ...settings },
  })
  started.push(child)
  let said = ''
  child.stdout.on('data', chunk => (said += String(chunk)))
  child.stderr.on('data', chunk => (said += String(chunk)))
  const ended = new Promise<number | null>(resolve => child.on('exit', resolve))
  const ready = async () => {
    const until = Date.now() + 200_000
    while (!said.includes('Ctrl-C stops it')) {
      if (child.exitCode !== null || Date.now() > until) throw new Error(`did not start: ${said}`)
      await new Promise(resolve => setTimeout(resolve, 50))
    }
    return /http:\/\/[\d.:]+/.exec(said)![0]
  }
  return { child, ended, ready, said: () => said }
}

interface RunFile {
  pid: number
  address: string
  children: number[]
}
const runFile = () => JSON.parse(readFileSync(join(folder, 'run.json'), 'utf8')) as RunFile
const alive = (pid: number) =>
  existsSync(`/proc/${pid}`) && !/State:\s+Z/.test(readFileSync(`/proc/${pid}/status`, 'utf8'))
const postmaster = () => Number(readFileSync(join(folder, 'pg', 'postmaster.pid'), 'utf8').split('\n')[0])
const jobs = async (address: string) =>
  ((await (await fetch(`${address}/api/jobs`)).json()) as unknown[]).length

beforeAll(() => {
  // A cluster that was killed while it was being made: half its files.
  mkdirSync(join(folder, 'pg'), { recursive: true })
  writeFileSync(join(folder, 'pg', 'PG_VERSION'), '15')
  writeFileSync(join(folder, 'pg.making'), '2026-11-27')
})
afterAll(async () => {
  for (const child of started.filter(c => c.exitCode === null && c.signalCode === null)) {
    child.kill('SIGINT')
    await new Promise(resolve => child.once('exit', resolve))
  }
  rmSync(folder, { recursive: true, force: true })
})

describe('npm run demo', () => {
  it('starts over a half-made cluster, refuses a second start by name, and Ctrl-C stops everything', async () => {
    const first = demo()
    const address = await first.ready()
    expect(await jobs(address)).toBe(10)
    const second = demo()
    expect(await second.ended).toBe(1)
    expect(second.said()).toContain(`already runs here: ${address}`)
    // A process that dies is started again.
    const before = runFile().children
    process.kill(before[1]!, 'SIGKILL')
    await expect
      .poll(
        () =>
          runFile().children.length === 3 &&
          !runFile().children.includes(before[1]!) &&
          runFile().children.every(alive),
        { timeout: 10_000 },
      )
      .toBe(true)
    // So is the database.
    const killed = postmaster()
    process.kill(killed, 'SIGKILL')
    await expect.poll(() => jobs(address).catch(() => 0), { timeout: 20_000 }).toBe(10)
    const { children } = runFile()
    const server = postmaster()
    expect(server).not.toBe(killed)
    expect([...children, server].every(alive)).toBe(true)
    first.child.kill('SIGINT')
    expect(await first.ended).toBe(0)
    expect([...children, server].filter(alive)).toEqual([])
    expect(existsSync(join(folder, 'run.json'))).toBe(false)
  }, 240_000)

  it('survives kill -9 of launcher and database, keeps its data, and cleans up what was left', async () => {
    const first = demo()
    await first.ready()
    const { children } = runFile()
    first.child.kill('SIGKILL')
    await first.ended
    process.kill(postmaster(), 'SIGKILL')
    expect(children.some(alive)).toBe(true) // orphans, still holding their ports
    const again = demo()
    const address = await again.ready()
    expect(await jobs(address)).toBe(10)
    expect(children.filter(alive)).toEqual([])
    again.child.kill('SIGTERM')
    expect(await again.ended).toBe(0)
  }, 240_000)

  it('starts beside a launcher that was killed while its database lives on', async () => {
    const first = demo()
    await first.ready()
    first.child.kill('SIGKILL')
    await first.ended
    const again = demo()
    expect(await jobs(await again.ready())).toBe(10)
    again.child.kill('SIGINT')
    expect(await again.ended).toBe(0)
  }, 240_000)

  it('comes up with every job from a copy of the database folder alone', async () => {
    const copy = mkdtempSync(join(tmpdir(), 'diapason-copy-'))
    cpSync(join(folder, 'pg'), join(copy, 'pg'), { recursive: true })
    const again = demo('scripts/start.mjs', copy)
    const address = await again.ready()
    expect(await jobs(address)).toBe(10)
    // A workshop that was never backed up is, at once.
    const last = async () =>
      (await (await fetch(`${address}/api/backups`)).json()) as { lastAtMs: number | null }
    await expect.poll(last, { timeout: 20_000 }).toEqual({
      wanted: true,
      lastAtMs: expect.any(Number),
      archiveFailedAtMs: null,
    })
    expect(readdirSync(join(copy, 'backups'))).toEqual([expect.stringMatching(/^nightly-.*\.diapason$/)])
    again.child.kill('SIGINT')
    expect(await again.ended).toBe(0)
    rmSync(copy, { recursive: true, force: true })
  })

  it('says that its port is taken, and takes no other', async () => {
    const server = createServer().listen(0, '127.0.0.1')
    await new Promise(resolve => server.once('listening', resolve))
    const { port } = server.address() as AddressInfo
    const refused = demo('scripts/demo.mjs', folder, String(port))
    expect(await refused.ended).toBe(1)
    expect(refused.said()).toContain(`Port ${port} is taken by another program`)
    await new Promise(resolve => server.close(resolve))
  })

  it('gives up a process that cannot start, and says why', async () => {
    const wrong = { DIAPASON_INSTRUMENT_NETWORKS: 'the bench' }
    const refused = demo('scripts/demo.mjs', folder, '0', wrong)
    expect(await refused.ended).toBe(1)
    expect(refused.said()).toMatch(
      /"gateway" keeps ending by itself .*\nError: .*DIAPASON_INSTRUMENT_NETWORKS/,
    )
  })

  it('never starts in the folder of the other kind', async () => {
    const refused = demo('scripts/start.mjs')
    expect(await refused.ended).toBe(1)
    expect(refused.said()).toMatch(/holds the demo, with made-up jobs\. Nothing was changed/)
  })

  it.each([
    ['PG_VERSION', '9', /made by PostgreSQL 9; PostgreSQL \d+ is installed\. Nothing was changed/],
    ['letters.txt', 'mine', /holds files, and no PostgreSQL cluster\. Nothing was changed/],
  ])('never touches a folder that is not its own: %s', async (name, content, words) => {
    const other = mkdtempSync(join(tmpdir(), 'diapason-other-'))
    mkdirSync(join(other, 'pg'))
    writeFileSync(join(other, 'pg', name), content)
    const refused = demo('scripts/start.mjs', other)
    expect(await refused.ended).toBe(1)
    expect(refused.said()).toMatch(words)
    expect(readFileSync(join(other, 'pg', name), 'utf8')).toBe(content)
    rmSync(other, { recursive: true, force: true })
  })
})
