import { connect } from 'node:net'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { ScpiConnection } from '../scpi/scpiConnection'
import { controlServer } from './controlServer'
import { SimulatedBench } from './simulatedBench'

let now = 0
let bench: SimulatedBench
/** A busy machine may take its time; what must be refused is refused at once. */
const ANSWER_WITHIN_MS = 5000
const lines: ScpiConnection[] = []
beforeEach(async () => {
  now = 10
  bench = new SimulatedBench(27, () => now, 0)
  await bench.start()
})
afterEach(async () => {
  lines.splice(0).forEach(l => l.close())
  await bench.stop()
})

const portOf = (key: string) => bench.view().instruments.find(i => i.key === key)!.port
async function line(key: string) {
  const l = await ScpiConnection.open({ host: '127.0.0.1', port: portOf(key) }, 500)
  lines.push(l)
  return l
}
const truth = () => bench.look().truth
const ask = async (key: string, question: string) => (await (await line(key)).query(question, 500)).text

describe('SCPI servers', () => {
  it('know the basics of IEEE 488.2', async () => {
    const l = await line('power')
    expect((await l.query('*IDN?', ANSWER_WITHIN_MS)).text).toMatch(
      /^Weirside Bench,RF power meter \(simulated\),S1,/,
    )
    expect((await l.query('*OPC?', ANSWER_WITHIN_MS)).text).toBe('1')
    await l.send('MEAS:NONSENSE?')
    expect((await l.query('SYST:ERR?', ANSWER_WITHIN_MS)).text).toBe('-113,"Undefined header"')
    expect((await l.query('SYST:ERR?', ANSWER_WITHIN_MS)).text).toBe('0,"No error"')
    await l.send('NONSENSE')
    await l.send('*CLS')
    expect((await l.query('SYSTem:ERRor?', ANSWER_WITHIN_MS)).text).toBe('0,"No error"')
  })
  it('answer compound questions, and any socket can talk to them', async () => {
    await bench.change({ keyed: true })
    now = 20
    const text = await new Promise<string>(resolve => {
      const socket = connect(portOf('power'), '127.0.0.1', () => socket.write('*IDN?;:MEAS:POW:AVER?\r\n'))
      socket.once('data', d => {
        resolve(d.toString())
        socket.destroy()
      })
    })
    expect(text).toMatch(/^Weirside.*;[\d.]+E\+0\n$/)
  })
  it('read the set, each with its own error inside its class', async () => {
    await bench.change({ keyed: true, toneOn: true })
    now = 20
    const { values } = truth()
    const near = async (key: string, question: string, value: number | null | undefined, bound: number) => {
      const shown = Number(await ask(key, question))
      expect(shown, question).not.toBe(value)
      expect(Math.abs(shown / value! - 1), question).toBeLessThan(bound)
    }
    await near('power', 'MEAS:POW:AVER?', values.powerW, 0.031)
    await near('counter', 'MEAS:FREQ? (@1)', values.carrierHz, 1e-7)
    await near('modulation', 'MEAS:FM:DEV:POS?', values.deviationPositiveHz, 0.021)
    await near('supply', 'MEAS:CURR?', values.supplyA, 0.02)
    await near('supply', 'MEAS:VOLT?', values.supplyV, 0.004)
    expect(Number(await ask('supply', 'OUTP:ELAP?'))).toBe(10)
  })
  it('the supply takes a current limit: beyond it the voltage falls and the power with it', async () => {
    await bench.change({ keyed: true })
    now = 20
    const free = truth().values.powerW!
    const supply = await line('supply')
    await supply.send('CURR 0.6')
    expect(Number((await supply.query('CURR?', ANSWER_WITHIN_MS)).text)).toBe(0.6)
    now = 22
    expect(Number((await supply.query('MEAS:CURR?', ANSWER_WITHIN_MS)).text)).toBeCloseTo(0.6, 1)
    expect(Number((await supply.query('MEAS:VOLT?', ANSWER_WITHIN_MS)).text)).toBeLessThan(13)
    expect(truth().values.powerW).toBeLessThan(free * 0.8)
  })
  it.each([
    ['CURR -1', '-222,"Data out of range"'],
    ['CURR', '-109,"Missing parameter"'],
    ['CURR a lot', '-121,"Invalid character in number"'],
    ['CURR 1,2', '-108,"Parameter not allowed"'],
    ['CURR:FOLD maybe', '-224,"Illegal parameter value"'],
    ['MEAS:CURR? (@9)', '-108,"Parameter not allowed"'],
    ['MEASURE:NOTHING 1', '-113,"Undefined header"'],
    ['*ESE 999', '-222,"Data out of range"'],
    [';;12', '-102,"Syntax error"'],
  ])('%s is answered by %s', async (command, error) => {
    const l = await line('supply')
    await l.send('*CLS')
    await l.send(command)
    expect((await l.query('SYST:ERR?', ANSWER_WITHIN_MS)).text).toBe(error)
    expect(Number((await l.query('*ESR?', ANSWER_WITHIN_MS)).text)).toBeGreaterThan(0)
  })
  it('a channel that is missing or unknown is refused', async () => {
    const l = await line('counter')
    await l.send('MEAS:FREQ?')
    await l.send('MEAS:FREQ? (@9)')
    expect([
      (await l.query('SYST:ERR?', ANSWER_WITHIN_MS)).text,
      (await l.query('SYST:ERR?', ANSWER_WITHIN_MS)).text,
    ]).toEqual(['-109,"Missing parameter"', '-222,"Data out of range"'])
  })
  it('errors of one client are not told to another', async () => {
    const [a, b] = [await line('power'), await line('power')]
    await a.send('NONSENSE')
    expect((await b.query('SYST:ERR?', ANSWER_WITHIN_MS)).text).toBe('0,"No error"')
    expect((await a.query('SYST:ERR?', ANSWER_WITHIN_MS)).text).toContain('-113')
  })
  it('say "not a number" without a carrier', async () => {
    expect(await ask('counter', 'MEAS:FREQ? (@1)')).toBe('+9.91E+37')
    expect(Number(await ask('power', 'MEAS:POW:AVER?'))).toBe(0)
  })
})

describe('another kit, another set', () => {
  const begin = (change: Partial<Parameters<SimulatedBench['begin']>[0]> = {}) =>
    bench.begin({ designId: 'osmund-40a', faultIds: ['X07'], seed: 5, kitId: 'test-set', ...change })
  it('stands in front of the set that was asked for', async () => {
    const view = await begin()
    expect(view.session).toMatchObject({ designId: 'osmund-40a', kit: 'Test set and analyser' })
    expect(view.instruments.map(i => i.key)).toEqual(['testset', 'analyser', 'multimeter', 'supply'])
    // positions of cores are not told from an electrical middle: which one is off must be found
    expect(
      new Set(Object.values((await begin({ designId: 'larkfield-lx8', faultIds: [] })).adjusters)).size,
    ).toBeGreaterThan(12)
    await expect(begin({ designId: 'quillon-p5' })).rejects.toMatchObject({ code: 'unknown-cause' })
    await expect(begin({ designId: 'nothing', faultIds: [] })).rejects.toMatchObject({
      code: 'unknown-sheet',
    })
  })
  it('a test set can be told: tone, level, generator; the set follows', async () => {
    await begin()
    const t = await line('testset')
    await bench.change({ keyed: true })
    await t.send('SOUR:AUD:LEV 30 mV;FREQ 2.5 KHZ')
    now = 30
    expect(Number((await t.query('SOUR:AUD:FREQ?', ANSWER_WITHIN_MS)).text)).toBe(2500)
    expect(Number((await t.query('MEAS:AM:DEPT:POS?', ANSWER_WITHIN_MS)).text)).toBeCloseTo(1.25, 0.9)
    await bench.change({ keyed: false })
    await t.send('SOUR:RF 1 uV')
    now = 40
    expect(Number((await t.query('MEAS:SIN?', ANSWER_WITHIN_MS)).text)).toBeGreaterThan(9)
    await t.send('SOUR:RF:LEV 5 V')
    expect((await t.query('SYST:ERR?', ANSWER_WITHIN_MS)).text).toContain('-222')
  })
  it('an analyser draws its trace as a block; a question before it is drawn interrupts it', async () => {
    await begin()
    await bench.change({ keyed: true })
    now = 20
    const a = await line('analyser')
    await a.send('FREQ:CENT 27.185 MHZ;SPAN 20 KHZ')
    const trace = new Float32Array(Uint8Array.from(await a.queryBlock('TRAC?', 500)).buffer)
    expect(trace).toHaveLength(401)
    expect(Math.max(...trace)).toBeCloseTo(10 * Math.log10(truth().carrierW / 1e-3), -0.5)
    await a.send('TRAC?')
    expect((await a.query('*OPC?', 500)).text).toBe('1')
    expect((await a.query('SYST:ERR?', 500)).text).toBe('-410,"Query INTERRUPTED"')
  })
  it('a multimeter finds test points by name', async () => {
    await begin()
    expect(Number(await ask('multimeter', 'MEAS:POIN? "driver emitter resistor"'))).toBe(4.7)
    expect(Number(await ask('multimeter', 'MEAS:VOLT? (@1)'))).toBeGreaterThan(1)
    const l = await line('multimeter')
    await l.send('MEAS:POIN? "nowhere"')
    expect((await l.query('SYST:ERR?', ANSWER_WITHIN_MS)).text).toContain('-224')
  })
  it('a lesson goes on as its steps are done', async () => {
    const view = await bench.begin({ lessonId: 'carrier', kitId: 'usual' })
    expect(view.session.lesson).toEqual({ id: 'carrier', done: 0 })
    expect((await bench.change({ warmByS: 1300 })).session.lesson).toEqual({ id: 'carrier', done: 1 })
    await expect(bench.begin({ lessonId: 'nothing', kitId: 'usual' })).rejects.toMatchObject({
      code: 'unknown-item',
    })
  })
  it('a warm-up that is passed, then a key: no power stands in the record before the key', async () => {
    await bench.change({ warmByS: 1200 })
    await bench.change({ keyed: true })
    now += 5
    await bench.change({ keyed: false })
    const { trace } = bench.record()
    const first = trace.findIndex(t => t.keyed)
    expect(trace[first]!.powerW).toBeGreaterThan(0.5)
    expect(trace[first - 1]).toMatchObject({ atS: trace[first]!.atS, keyed: false, powerW: 0 })
    expect(trace.filter(t => !t.keyed).every(t => t.powerW === 0)).toBe(true)
    expect(trace.at(-1)).toMatchObject({ keyed: false, atS: trace.at(-2)!.atS })
  })
  it('keeps what was done and how the set fared, for the review', async () => {
    await begin()
    await bench.change({ keyed: true })
    for (let i = 1; i < 8; i++) {
      now = 10 + i
      bench.view()
    }
    await bench.change({ adjusters: [{ designator: 'RV4', position: 0.5 }], keyed: false })
    const record = bench.record()
    expect(record.scenario.faultIds).toEqual(['X07'])
    expect(record.log.map(l => l.action.kind)).toEqual(['control', 'turn', 'control'])
    expect(record.trace.length).toBeGreaterThan(5)
    expect(JSON.parse(JSON.stringify(record))).toEqual(record)
  })
  it('its dongle records what is sent, off by its own crystal', async () => {
    await begin({ kitId: 'practice' })
    await bench.change({ keyed: true })
    now = 12
    const made = bench.recording(48_000, 0.2)
    expect(made.i).toHaveLength(9600)
    expect(Math.max(...made.i)).toBeGreaterThan(0.2)
    expect(made.centreHz).toBe(27_185_000 - 4800)
  })
})

describe('whatever is sent to an instrument', () => {
  it('it goes on answering: 3000 messages of nonsense', async () => {
    await bench.begin({ designId: 'osmund-40a', faultIds: [], seed: 1, kitId: 'test-set' })
    const raw = connect(portOf('testset'), '127.0.0.1')
    await new Promise(resolve => raw.once('connect', resolve))
    raw.resume()
    const pieces = [
      'MEAS:POW:AVER?',
      '#9',
      'SOUR:AUD:LEV',
      ' 1e99',
      '(@',
      '"',
      ';',
      ',',
      ':',
      '*ESE 4',
      '\0',
      '\xff',
      'TRAC?',
      'x'.repeat(5000),
      '*OPC?',
      'CURR 1',
      '\r',
      '?',
    ]
    for (const seed of Array.from({ length: 3000 }, (_, i) => i))
      raw.write(
        `${[1, 2, 3].map(k => pieces[(seed * 7 + k * k * 13 + (seed % 5)) % pieces.length]).join('')}\n`,
      )
    const l = await line('testset')
    expect((await l.query('*OPC?', 5000)).text).toBe('1')
    raw.destroy()
  })
})

describe('hands on the set', () => {
  it('turn adjusters and controls; what is not named stays', async () => {
    const before = bench.view()
    const after = await bench.change({ adjusters: [{ designator: 'CT1', position: 0.3 }], channel: 40 })
    expect(after).toMatchObject({
      channel: 40,
      lowPower: before.lowPower,
      adjusters: { ...before.adjusters, CT1: 0.3 },
    })
    expect((await bench.change({ deliverAgain: true })).adjusters).toEqual(before.adjusters)
  })
  it('unplug an instrument and plug it in again on the same port', async () => {
    const port = portOf('counter')
    const l = await line('counter')
    await bench.change({ plug: { key: 'counter', pluggedIn: false } })
    await expect(l.query('*IDN?', 500)).rejects.toMatchObject({ code: 'closed' })
    await expect(ScpiConnection.open({ host: '127.0.0.1', port }, ANSWER_WITHIN_MS)).rejects.toMatchObject({
      code: 'not-reachable',
    })
    await bench.change({ plug: { key: 'counter', pluggedIn: true } })
    expect(portOf('counter')).toBe(port)
    expect(await ask('counter', '*OPC?')).toBe('1')
  })
  it('by HTTP on loopback; nonsense is refused and changes nothing', async () => {
    const server = controlServer(bench)
    await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
    const url = `http://127.0.0.1:${(server.address() as { port: number }).port}`
    const post = (body: string) => fetch(`${url}/change`, { method: 'POST', body })
    const before = bench.view()
    for (const body of [
      '{',
      '{"channel":41}',
      '{"channel":"1"}',
      '{"adjusters":[{"designator":"CT9","position":0}]}',
      '{"strange":1}',
      'x'.repeat(20_000),
    ])
      expect((await post(body)).status).toBe(400)
    expect(bench.view()).toEqual(before)
    expect(await (await post('{"keyed":true}')).json()).toMatchObject({ keyed: true })
    server.closeAllConnections()
    server.close()
  })
})
