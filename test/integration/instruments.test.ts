import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { BARE_INSTRUMENT } from '../../shared/instrumentSetup'
import { fakeInstrument } from '../fixtures/fakeInstrument'
import { testHouse, type TestHouse } from './house'

let house: TestHouse
beforeAll(async () => {
  house = await testHouse({ demo: false })
}, 240_000)
afterAll(() => house?.stop())

/** Reads the live stream through the web server until something shows. */
async function watchLive(wanted: (text: string) => boolean, withinMs = 5000): Promise<string> {
  const stop = new AbortController()
  const timer = setTimeout(() => stop.abort(), withinMs)
  let text = ''
  try {
    const response = await fetch(`${house.address}/api/live`, { signal: stop.signal })
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
      text += new TextDecoder().decode(chunk)
      if (wanted(text)) break
    }
  } catch {
    // out of time: the text so far is the answer
  }
  clearTimeout(timer)
  stop.abort()
  return text
}

describe('without demo data', () => {
  it('the house starts empty, without a simulated set', async () => {
    expect((await house.request('GET', '/api/jobs')).body).toEqual([])
    expect((await house.request('GET', '/api/instruments')).body).toEqual([])
    expect((await house.request('GET', '/api/practice')).error).toMatchObject({ code: 'bench-away' })
  })
})

describe('an instrument', () => {
  it('is added, is live at once, is renamed and removed', async () => {
    const meter = await fakeInstrument(q => {
      if (q === '*IDN?') return 'A,B,C,D\n'
      return q.endsWith('?') ? '3.9\n' : null
    })
    const body = {
      name: 'Our meter',
      profileId: 'scpi-power-meter',
      host: '127.0.0.1',
      port: meter.port,
      ...BARE_INSTRUMENT,
    }
    const added = await house.request('POST', '/api/instruments', body)
    expect(added.status).toBe(201)
    const { id } = added.body as { id: string }
    const text = await watchLive(t => t.includes('"value":3.9'))
    expect(text).toContain('event: hello')
    expect(text).toContain('"instrument":"Our meter"')
    expect((await house.request('POST', '/api/instruments', body)).error).toMatchObject({
      code: 'name-taken',
      field: 'name',
    })
    const rename = (name: string, version: number) =>
      house.request('PUT', `/api/instruments/${id}`, { ...body, name, version })
    expect((await rename('Best meter', 1)).body).toMatchObject({ name: 'Best meter', version: 2 })
    // Another tab that still shows it as it was.
    expect(await rename('Worst meter', 1)).toMatchObject({
      status: 409,
      error: { code: 'changed-meanwhile' },
    })
    expect(await watchLive(t => t.includes('"value":3.9') && t.includes('Best meter'))).toContain(
      'Best meter',
    )
    expect((await house.request('DELETE', `/api/instruments/${id}`)).status).toBe(204)
    expect((await house.request('DELETE', `/api/instruments/${id}`)).error).toMatchObject({
      code: 'unknown-instrument',
    })
    expect(await watchLive(t => t.includes('"links":[]'))).toContain('"links":[]')
    await meter.close()
  })
  it('is not looked for where no instrument may be, and says so', async () => {
    const secret = { ...BARE_INSTRUMENT, name: 'Meter of the cloud', profileId: 'scpi-power-meter' }
    const added = await house.request('POST', '/api/instruments', {
      ...secret,
      host: '169.254.169.254',
      port: 80,
    })
    expect(await watchLive(t => t.includes('targetNotAllowed'))).toContain('targetNotAllowed')
    await house.request('DELETE', `/api/instruments/${(added.body as { id: string }).id}`)
  })
  it('read by eye keeps its class, or that nobody knows it', async () => {
    const body = {
      name: 'Old meter',
      profileId: 'eye-power-20',
      host: '127.0.0.1',
      port: null,
      ...BARE_INSTRUMENT,
      meterKind: 'unknown',
      fullScale: 60,
      classRatio: 0.1,
    }
    const added = await house.request('POST', '/api/instruments', body)
    expect(added.body).toMatchObject({
      meterKind: 'unknown',
      fullScale: 60,
      classRatio: 0.1,
      classUnknown: false,
    })
    const { id } = added.body as { id: string }
    expect(
      (
        await house.request('PUT', `/api/instruments/${id}`, {
          ...body,
          classRatio: null,
          classUnknown: true,
          version: 1,
        })
      ).body,
    ).toMatchObject({ classRatio: null, classUnknown: true })
    expect(
      await house.request('PUT', `/api/instruments/${id}`, { ...body, classRatio: 3, version: 2 }),
    ).toMatchObject({
      status: 400,
      error: { field: 'classRatio' },
    })
    expect((await house.request('DELETE', `/api/instruments/${id}`)).status).toBe(204)
  })
  it('that goes away with its listener leaves nothing behind', async () => {
    await watchLive(t => t.includes('hello'))
    await expect
      .poll(
        async () =>
          ((await (await fetch(`${house.env.GATEWAY_URL}/health`)).json()) as { listeners: number })
            .listeners,
        { timeout: 5000 },
      )
      .toBe(0)
  })
})
