import { connect } from 'node:net'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testHouse, type TestHouse } from './house'

/** Somebody who sends a request drop by drop, to hold the server up. */
let house: TestHouse
let jobId: string
beforeAll(async () => {
  house = await testHouse({ demo: false, requestS: 6 })
  jobId = await house.newJob()
}, 240_000)
afterAll(() => house?.stop())

/** Sends the head, then a letter every 300 ms until the server ends it. @returns what it said */
function drip(head: string): Promise<string> {
  const { hostname, port } = new URL(house.address)
  return new Promise(resolve => {
    const socket = connect(Number(port), hostname)
    let said = ''
    socket.on('data', data => (said += data.toString('latin1')))
    socket.on('error', () => undefined)
    const drops = setInterval(() => socket.write('x'), 300)
    socket.on('close', () => {
      clearInterval(drops)
      resolve(said)
    })
    socket.write(head)
  })
}
const NOTE = {
  kind: 'note',
  id: crypto.randomUUID(),
  atMs: 1_795_000_000_000,
  stepId: null,
  text: 'meanwhile',
}

describe('A request that is sent drop by drop', () => {
  it('is cut, body or head, and holds nobody up meanwhile', async () => {
    const slow = ['POST /api/jobs HTTP/1.1', 'Content-Type: application/json', 'Content-Length: 100000']
    const host = `Host: ${new URL(house.address).host}`
    const cut = Promise.all([
      drip([...slow, host, '', '{"owner": "'].join('\r\n')),
      drip(['GET / HTTP/1.1', host, 'X-Slow: '].join('\r\n')),
    ])
    await sleep(1000)
    const { status } = await house.request('POST', `/api/jobs/${jobId}/events`, NOTE)
    expect(status).toBe(201)
    for (const said of await cut) expect(said).toMatch(/^HTTP\/1\.1 408 /)
  })

  it('leaves nothing behind, and the next one is answered', async () => {
    const jobs = (await house.request('GET', '/api/jobs')).body as unknown[]
    expect(jobs).toHaveLength(1)
  })
})
