import { spawn, type ChildProcess } from 'node:child_process'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import pino from 'pino'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { BARE_SETUP, instrumentProfile } from '#core/instrument'
import type { InstrumentAnswer, SteppedView } from '#shared/instrumentCommands'
import { profileOf } from '#shared/instrumentSetup'
import { SimulatedBench } from '../bench/simulatedBench'
import { targetsOf } from '../scpi/targets'
import { Gateway } from './gateway'

const IDS = {
  testset: '11111111-1111-4111-8111-111111111111',
  supply: '22222222-2222-4222-8222-222222222222',
  serial: '33333333-3333-4333-8333-333333333333',
  analyser: '44444444-4444-4444-8444-444444444444',
}
let bench: SimulatedBench
let gateway: Gateway
let url = ''
beforeEach(async () => {
  bench = new SimulatedBench(3, () => performance.now() / 1000, 0)
  await bench.start()
  await bench.begin({ designId: 'osmund-40a', faultIds: ['X07'], seed: 3, kitId: 'test-set' })
  gateway = new Gateway(pino({ level: 'silent' }), targetsOf('127.0.0.1'))
  url = `http://127.0.0.1:${await gateway.listen(0)}`
  gateway.configure(
    bench
      .view()
      .instruments.filter(i => i.key in IDS)
      .map(i => ({
        id: IDS[i.key as 'testset'],
        name: i.name,
        profile: instrumentProfile(i.profileId),
        setup: BARE_SETUP,
        endpoint: { host: '127.0.0.1', port: i.port },
      })),
  )
  await sleep(600)
})
afterEach(async () => {
  await gateway.close()
  await bench.stop()
})
const post = async <T>(path: string, body: unknown) => {
  const response = await fetch(url + path, { method: 'POST', body: JSON.stringify(body) })
  return { status: response.status, body: (await response.json()) as T }
}
const stepped = {
  setInstrumentId: IDS.testset,
  readInstrumentId: IDS.testset,
  set: 'inputV',
  from: 0.3e-6,
  to: 30e-6,
  steps: 6,
  spacing: 'log',
  read: 'sinadDb',
  settleS: 0.3,
  readings: 2,
}
const view = async () => (await (await fetch(`${url}/stepped`)).json()) as SteppedView
async function until(state: SteppedView['state']): Promise<SteppedView> {
  for (let i = 0; i < 200; i++) {
    const now = await view()
    if (now?.state === state && now.says.length > 0) return now
    await sleep(50)
  }
  throw new Error('never')
}

describe('commands', () => {
  it('sets and reads back; refuses what the profile or the instrument refuses', async () => {
    expect(await post('/set', { instrumentId: IDS.supply, name: 'supplyV', value: 12.6 })).toEqual({
      status: 200,
      body: { value: 12.6 },
    })
    expect((await post('/set', { instrumentId: IDS.supply, name: 'supplyV', value: 99 })).status).toBe(422)
    expect((await post('/set', { instrumentId: IDS.supply, name: 'inputV', value: 1e-6 })).status).toBe(404)
    expect(
      (await post('/set', { instrumentId: crypto.randomUUID(), name: 'supplyV', value: 12 })).status,
    ).toBe(404)
    expect((await post('/set', { nonsense: true })).status).toBe(400)
  })
  it('asks a line and says what was understood, with the errors of the instrument', async () => {
    expect(
      (await post<InstrumentAnswer>('/ask', { instrumentId: IDS.testset, text: 'MEAS:POW:AVER?' })).body,
    ).toMatchObject({
      raw: '0.000000000E+0',
      understood: { code: 'gateway.number', values: { value: 0 } },
      errors: [],
    })
    const answerTo = async (text: string) =>
      (await post<InstrumentAnswer>('/ask', { instrumentId: IDS.testset, text })).body
    expect(await answerTo('*IDN?')).toMatchObject({ understood: { code: 'gateway.text' } })
    expect(await answerTo('NONSENSE 1')).toMatchObject({ raw: '', errors: ['-113,"Undefined header"'] })
    expect((await post('/ask', { instrumentId: IDS.testset, text: 'A\nB' })).status).toBe(400)
  })
  it('takes a block where a line was expected, and goes on with the next question', async () => {
    const answer = (await post<InstrumentAnswer>('/ask', { instrumentId: IDS.analyser, text: 'TRAC?' })).body
    expect(answer).toMatchObject({
      understood: { code: 'gateway.block', values: { count: 1604 } },
      errors: [],
    })
    expect(answer.trace).toHaveLength(401)
    expect(
      (await post<InstrumentAnswer>('/ask', { instrumentId: IDS.analyser, text: '*OPC?' })).body.understood,
    ).toEqual({ code: 'gateway.number', values: { value: 1 } })
  })
})

describe('stepped measurement', () => {
  it('runs through, rises with the level, and puts the setting back', async () => {
    await bench.change({ inputV: 5e-6 })
    expect((await post<SteppedView>('/stepped', stepped)).body).toMatchObject({ state: 'running', of: 6 })
    const done = await until('done')
    expect(done.points).toHaveLength(6)
    const values = done.points.map(p => p.value!)
    values.slice(1).forEach((v, i) => expect(v).toBeGreaterThan(values[i]!))
    expect(done.points[0]!.standardUncertainty).toBeGreaterThan(0.3)
    expect(bench.view().inputV).toBeCloseTo(5e-6, 12)
  }, 20_000)
  it('stopped, it puts the setting back too', async () => {
    await bench.change({ inputV: 7e-6 })
    await post('/stepped', { ...stepped, settleS: 1 })
    await sleep(500)
    expect(bench.view().inputV).not.toBeCloseTo(7e-6, 12)
    await post('/stepped/cancel', {})
    await until('cancelled')
    expect(bench.view().inputV).toBeCloseTo(7e-6, 12)
  })
  it('what cannot be read leaves an empty step, what cannot be set fails with words', async () => {
    await post('/stepped', { ...stepped, read: 'powerW', steps: 2, settleS: 0, readings: 1 })
    expect((await until('done')).points.map(p => p.value)).toEqual([0, 0])
    await post('/stepped', { ...stepped, setInstrumentId: IDS.supply })
    for (let i = 0; i < 40 && (await view()).state === 'running'; i++) await sleep(50)
    expect(await view()).toMatchObject({
      state: 'failed',
      says: [{ code: 'gateway.cannotSet' }],
    })
    expect((await post('/stepped', { ...stepped, from: 0 })).status).toBe(422)
  }, 20_000)
})

describe('a serial instrument', () => {
  let partner: ChildProcess
  it('is read, asked and set like one on a socket', async () => {
    partner = spawn('/usr/bin/python3', [
      join(import.meta.dirname, '..', '..', 'test', 'fixtures', 'serialPartner.py'),
    ])
    const path = await new Promise<string>(resolve =>
      partner.stdout!.once('data', (d: Buffer) => resolve(d.toString().trim())),
    )
    const profile = profileOf({
      profileId: 'practice-wattmeter',
      ownProfile: {
        quantities: [{ quantity: 'powerW', query: 'MEAS:POW:AVER?', toSi: 1, accuracy: { ofReading: 0.05 } }],
        settings: [
          { name: 'inputV', command: 'SOUR:RF:LEV {value}', query: 'SOUR:RF:LEV?', toSi: 1, min: 0, max: 1 },
        ],
      },
    })
    gateway.configure([
      {
        id: IDS.serial,
        name: 'Serial wattmeter',
        profile,
        setup: BARE_SETUP,
        endpoint: { host: `serial:${path}`, port: 9600 },
      },
    ])
    await sleep(800)
    expect(
      (await post<InstrumentAnswer>('/ask', { instrumentId: IDS.serial, text: 'MEAS:POW:AVER?' })).body,
    ).toMatchObject({ understood: { code: 'gateway.number', values: { value: 3.87 } } })
    expect((await post('/set', { instrumentId: IDS.serial, name: 'inputV', value: 0.25 })).body).toEqual({
      value: 0.25,
    })
    partner.kill()
  })
  it('that is not there is told as one that does not answer', async () => {
    gateway.configure([
      {
        id: IDS.serial,
        name: 'Serial wattmeter',
        profile: instrumentProfile('practice-wattmeter'),
        setup: BARE_SETUP,
        endpoint: { host: 'serial:/dev/ttyNowhere', port: 9600 },
      },
    ])
    await sleep(400)
    expect((await post('/ask', { instrumentId: IDS.serial, text: '*IDN?' })).status).toBe(504)
  })
})
