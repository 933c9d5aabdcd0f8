import pino from 'pino'
import { afterEach, describe, expect, it } from 'vitest'
import { BARE_SETUP, instrumentProfile } from '#core/instrument'
import type { LiveHello, LiveLink, LivePoll } from '#shared/live'
import { fakeInstrument, until } from '../../test/fixtures/fakeInstrument'
import { targetsOf } from '../scpi/targets'
import { Gateway } from './gateway'

const open: { close: () => unknown }[] = []
afterEach(async () => {
  for (const o of open.splice(0).reverse()) await o.close()
})

const good = (q: string) => {
  if (q === '*IDN?') return 'Maker,Meter,1,1\n'
  if (q === 'SYST:ERR?') return '0,"No error"\n'
  return q.endsWith('?') ? '+3.9E+00\n' : null
}
const config = (port: number, id = 'a') => ({
  id,
  name: `Meter ${id}`,
  profile: instrumentProfile('scpi-power-meter'),
  setup: BARE_SETUP,
  endpoint: { host: '127.0.0.1', port },
})

/** A listener on the stream, as a browser is one. */
async function listen(port: number) {
  const seen = { polls: [] as LivePoll[], links: [] as LiveLink[], hellos: [] as LiveHello[] }
  const stop = new AbortController()
  const response = await fetch(`http://127.0.0.1:${port}/live`, { signal: stop.signal })
  const into = { poll: seen.polls, link: seen.links, hello: seen.hellos } as Record<string, unknown[]>
  void (async () => {
    let text = ''
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
      text += new TextDecoder().decode(chunk)
      const frames = text.split('\n\n')
      text = frames.pop()!
      for (const frame of frames) {
        const match = /^event: (\w+)\ndata: (.*)$/s.exec(frame)
        if (match) into[match[1]!]!.push(JSON.parse(match[2]!))
      }
    }
  })().catch(() => undefined)
  open.push({ close: () => stop.abort() })
  return { ...seen, stop: () => stop.abort() }
}

async function gatewayWith(...configs: ReturnType<typeof config>[]) {
  const gateway = new Gateway(pino({ level: 'silent' }), targetsOf('127.0.0.1'))
  const port = await gateway.listen(0)
  gateway.configure(configs)
  open.push(gateway)
  return { gateway, port }
}

describe('gateway', () => {
  it('polls ten times a second and publishes', async () => {
    const meter = await fakeInstrument(good)
    open.push(meter)
    const { port } = await gatewayWith(config(meter.port))
    const seen = await listen(port)
    await until(() => seen.polls.length >= 11)
    const spanMs = seen.polls[10]!.receivedAtMs - seen.polls[0]!.receivedAtMs
    expect(spanMs).toBeGreaterThan(900) // never faster than its period
    expect(seen.polls[0]!.readings[0]).toMatchObject({ quantity: 'powerW', status: 'ok', value: 3.9 })
  })
  it('says within two seconds that an instrument is gone, and recovers by itself', async () => {
    const meter = await fakeInstrument(good)
    const { port } = await gatewayWith(config(meter.port))
    const seen = await listen(port)
    await until(() => seen.polls.length > 2)
    const goneAt = Date.now()
    await meter.close()
    await until(() => seen.links.some(l => l.state === 'silent'), 2000)
    expect(seen.links.find(l => l.state === 'silent')!.sinceMs).toBeGreaterThanOrEqual(goneAt - 5)
    const polls = seen.polls.length
    open.push(await fakeInstrument(good, meter.port))
    await until(() => seen.links.at(-1)?.state === 'live' && seen.polls.length > polls)
  })
  it('says within two seconds that an instrument answers nothing any more', async () => {
    let mute = false
    const meter = await fakeInstrument(q => (mute ? null : good(q)))
    open.push(meter)
    const { port } = await gatewayWith(config(meter.port))
    const seen = await listen(port)
    await until(() => seen.polls.length > 2)
    mute = true
    await until(() => seen.links.some(l => l.state === 'silent'), 2000)
    expect(seen.links.at(-1)!.detail).toMatchObject({ code: 'gateway.noAnswer' })
  })
  it('keeps the others going when one is garbled or absent', async () => {
    const meter = await fakeInstrument(good)
    const mad = await fakeInstrument(q => {
      if (q === '*IDN?') return 'x\n'
      return q.endsWith('?') ? '\u0007&%\n' : null
    })
    open.push(meter, mad)
    const { port } = await gatewayWith(
      config(meter.port, 'good'),
      config(mad.port, 'mad'),
      config(1, 'absent'),
    )
    const seen = await listen(port)
    await until(
      () =>
        seen.polls.filter(p => p.instrumentId === 'good').length > 3 &&
        seen.polls.some(p => p.instrumentId === 'mad'),
    )
    expect(
      seen.polls
        .filter(p => p.instrumentId === 'mad')
        .every(p => p.readings.every(r => r.status === 'garbled' && r.value === null)),
    ).toBe(true)
    expect(
      seen.polls.filter(p => p.instrumentId === 'good').every(p => p.readings.every(r => r.status === 'ok')),
    ).toBe(true)
  })
  it('tells who joins late how things stand, and forgets who leaves', async () => {
    const meter = await fakeInstrument(good)
    open.push(meter)
    const { gateway, port } = await gatewayWith(config(meter.port))
    const first = await listen(port)
    await until(() => first.polls.length > 0)
    first.stop()
    const second = await listen(port)
    await until(() => second.hellos.length > 0)
    expect(second.hellos[0]!.links).toMatchObject([
      { instrumentId: 'a', state: 'live', identity: 'Maker,Meter,1,1' },
    ])
    await until(() => second.polls.length > 3)
    gateway.configure([])
    await until(() => second.hellos.at(-1)!.links.length === 0 && meter.connections() === 0)
    const health = (await (await fetch(`http://127.0.0.1:${port}/health`)).json()) as { listeners: number }
    expect(health.listeners).toBe(1)
  })
  it('keeps the line of an instrument that did not change', async () => {
    let connections = 0
    const meter = await fakeInstrument(q => {
      if (q === '*IDN?') connections++
      return good(q)
    })
    open.push(meter)
    const { gateway, port } = await gatewayWith(config(meter.port))
    const seen = await listen(port)
    await until(() => seen.polls.length > 1)
    gateway.configure([config(meter.port), config(1, 'b')])
    const polls = seen.polls.length
    await until(() => seen.polls.length > polls + 2)
    // A machine that is too busy to answer loses its line, and says so; a line that is taken away does not.
    const lost = seen.links.filter(l => l.instrumentId === 'a' && l.state === 'silent')
    expect(connections).toBe(1 + lost.length)
  })
})
