import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { request } from 'node:https'
import { connect } from 'node:net'
import { networkInterfaces, tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { fingerprint, workshopCertificate } from '../../scripts/lib/certificate.mjs'
import { wayInForOthers } from '../../scripts/lib/listening.mjs'
import { freePort } from '../../scripts/lib/ports.mjs'
import { testHouse, type TestHouse } from './house'

const folder = mkdtempSync(join(tmpdir(), 'diapason-tls-'))
const OWNER = { name: 'Mirela Quist', password: 'barges go by at noon' }
let house: TestHouse
let web: ChildProcess
let tlsPort: number
let plainPort: number
let settings: Record<string, string>

beforeAll(async () => {
  house = await testHouse({ demo: false, setUp: false })
  tlsPort = await freePort()
  plainPort = await freePort()
  const asked = { HOST: '0.0.0.0', DIAPASON_TLS_PORT: String(tlsPort) }
  settings = (await withSettings(asked, () => wayInForOthers(folder))).web
  web = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...process.env, ...house.env, ...settings, PORT: String(plainPort), NODE_ENV: 'production' },
    stdio: 'ignore',
  })
  const answers = () =>
    fetch(`http://127.0.0.1:${plainPort}/api/health`).then(
      r => r.ok,
      () => false,
    )
  for (let tries = 0; tries < 100 && !(await answers()); tries++)
    await new Promise(resolve => setTimeout(resolve, 200))
}, 240_000)
afterAll(async () => {
  web?.kill()
  await house?.stop()
  rmSync(folder, { recursive: true, force: true })
})

async function withSettings<T>(changed: Record<string, string>, work: () => Promise<T>): Promise<T> {
  const before = { ...process.env }
  Object.assign(process.env, changed)
  try {
    return await work()
  } finally {
    process.env = before
  }
}

/** As a device that trusts the workshop's authority and nobody else. */
function ask(method: string, path: string, body?: object) {
  return new Promise<{ status: number; text: string; cookies: string[] }>((resolve, reject) => {
    const asked = request(
      {
        host: 'localhost',
        port: tlsPort,
        path,
        method,
        ca: readFileSync(join(folder, 'tls', 'authority.crt')),
        headers: body ? { 'content-type': 'application/json' } : {},
      },
      answer => {
        let text = ''
        answer.on('data', chunk => (text += String(chunk)))
        answer.on('end', () =>
          resolve({ status: answer.statusCode!, text, cookies: answer.headers['set-cookie'] ?? [] }),
        )
      },
    )
    asked.on('error', reject)
    asked.end(body ? JSON.stringify(body) : undefined)
  })
}

describe('with a certificate of the workshop', () => {
  it('a device that trusts the authority gets in; its cookies never go without encryption', async () => {
    expect((await ask('GET', '/')).text).toContain('<div id="__nuxt">')
    const firstStart = { workshop: 'Weirside Bench', owner: OWNER }
    expect((await ask('POST', '/api/workshop', firstStart)).status).toBe(204)
    const { cookies } = await ask('POST', '/api/sign-in', OWNER)
    expect(cookies.length).toBeGreaterThan(0)
    for (const cookie of cookies) expect(cookie).toMatch(/; Secure/)
  })
  it('a device that does not is warned by its browser', async () => {
    await expect(fetch(`https://localhost:${tlsPort}/`)).rejects.toMatchObject({
      cause: { code: 'UNABLE_TO_VERIFY_LEAF_SIGNATURE' },
    })
  })
  it('whoever is let in is told the addresses and what to compare, and may download it', async () => {
    const session = (await ask('POST', '/api/sign-in', OWNER)).cookies.map(c => c.split(';')[0]).join('; ')
    const signedIn = { headers: { cookie: session } }
    const told = await fetch(`http://127.0.0.1:${plainPort}/api/network`, signedIn)
    const wayIn = (await told.json()) as { addresses: string[]; fingerprint: string; qrSvg: string }
    expect(wayIn.addresses.every(a => a.startsWith('https://') && a.endsWith(`:${tlsPort}`))).toBe(true)
    expect(wayIn.fingerprint).toBe(fingerprint(join(folder, 'tls', 'authority.crt')))
    const file = await fetch(`http://127.0.0.1:${plainPort}/api/network/authority`, signedIn)
    expect(await file.text()).toBe(readFileSync(join(folder, 'tls', 'authority.crt'), 'utf8'))
    expect((await fetch(`http://127.0.0.1:${plainPort}/api/network/authority`)).status).toBe(401)
  })
  it('nobody but the machine itself gets in without encryption', async () => {
    const addresses = Object.values(networkInterfaces())
      .flatMap(list => list ?? [])
      .filter(i => i.family === 'IPv4' && !i.internal)
    for (const { address } of addresses)
      await expect(fetch(`http://${address}:${plainPort}/`)).rejects.toThrow()
    expect(settings.HOST).toBe('127.0.0.1')
  })
  it('whoever sends a head drop by drop is not waited for', async () => {
    const started = Date.now()
    const said = await new Promise<string>(resolve => {
      let text = ''
      const socket = connect(plainPort, '127.0.0.1', () => socket.write('GET / HTTP/1.1\r\nHost: 127.0'))
      const drop = setInterval(() => socket.write('.'), 1000)
      socket.on('data', chunk => (text += chunk.toString()))
      socket.on('error', () => undefined)
      socket.on('close', () => {
        clearInterval(drop)
        resolve(text)
      })
    })
    expect(said).toMatch(/^HTTP\/1.1 408/)
    expect(Date.now() - started).toBeGreaterThan(8000)
  })
})

describe("a certificate of one's own", () => {
  const HOST = '0.0.0.0'
  it('is taken as it is named, and devices have nothing to compare', async () => {
    const own = await workshopCertificate(join(folder, 'elsewhere'), ['bench.local'])
    const asked = { HOST, DIAPASON_TLS_PORT: '0', DIAPASON_CERT: own.cert, DIAPASON_KEY: own.key }
    const { web: given } = await withSettings(asked, () => wayInForOthers(folder))
    expect(given).toMatchObject({ TLS_CERT: own.cert, TLS_KEY: own.key, TLS_HOST: HOST })
    expect(given).not.toHaveProperty('TLS_FINGERPRINT')
  })
  it('of which a part is missing, or a taken port, is refused in words', async () => {
    const refused = (changed: Record<string, string>) =>
      withSettings({ HOST, ...changed }, () => wayInForOthers(folder)).catch((e: Error) => e.message)
    expect(await refused({ DIAPASON_KEY: '/key' })).toContain('DIAPASON_CERT')
    expect(await refused({ DIAPASON_CERT: '/no/such', DIAPASON_KEY: '/key' })).toContain('/no/such')
    expect(await refused({ DIAPASON_TLS_PORT: String(tlsPort) })).toContain(
      `DIAPASON_TLS_PORT=${tlsPort + 1}`,
    )
  })
  it('may be that of a proxy in front: then it listens plain', async () => {
    const asked = { HOST, DIAPASON_TLS: 'off' }
    expect(await withSettings(asked, () => wayInForOthers(folder))).toEqual({
      web: { HOST, BEHIND_PROXY: '1' },
      addresses: [],
    })
  })
})

describe('the certificate of the workshop', () => {
  const DAY_MS = 86_400_000
  const at = join(folder, 'kept')
  const NAMES = ['bench.local', '192.0.2.7', 'localhost']
  const kept = (paths: { cert: string; authority: string }) => [
    fingerprint(paths.authority),
    fingerprint(paths.cert),
  ]
  it('stays as it is from start to start, readable by its owner only', async () => {
    const paths = await workshopCertificate(at, NAMES)
    expect(kept(await workshopCertificate(at, NAMES))).toEqual(kept(paths))
    expect(statSync(paths.key).mode & 0o077).toBe(0)
    expect(statSync(join(at, 'authority.key')).mode & 0o077).toBe(0)
  })
  it('is renewed before it ends and for a new address; what devices trust stays', async () => {
    const [authority, first] = kept(await workshopCertificate(at, NAMES))
    const later = kept(await workshopCertificate(at, NAMES, Date.now() + 350 * DAY_MS))
    const moved = kept(await workshopCertificate(at, [...NAMES, '192.0.2.8']))
    expect([later[0], moved[0]]).toEqual([authority, authority])
    expect(new Set([first, later[1], moved[1]]).size).toBe(3)
  })
  it('that cannot be read ends the start in words, and is left as it lies', async () => {
    const damaged = join(folder, 'damaged')
    await workshopCertificate(join(damaged, 'tls'), NAMES)
    const file = join(damaged, 'tls', 'authority.crt')
    writeFileSync(file, 'half a certif')
    const start = () => withSettings({ HOST: '0.0.0.0' }, () => wayInForOthers(damaged))
    await expect(start()).rejects.toThrow(/cannot be used .* Nothing was changed/)
    expect(readFileSync(file, 'utf8')).toBe('half a certif')
  })
})
