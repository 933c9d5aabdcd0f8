import { connect } from 'node:net'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { ScpiConnection } from '../scpi/scpiConnection'
import { controlServer } from './controlServer'
import { SimulatedBench } from './simulatedBench'

let now = 0
let bench: SimulatedBench
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
const ask = async (key: string, question: string) => (await (await line(key)).query(question, 500)).line

describe('SCPI servers', () => {
  it('know the basics of IEEE 488.2', async () => {
    const l = await line('power')
    expect((await l.query('*IDN?', 300)).line).toMatch(/^Weirside Bench,RF power meter \(simulated\),S1,/)
    expect((await l.query('*OPC?', 300)).line).toBe('1')
    await l.send('MEAS:NONSENSE?')
    expect((await l.query('SYST:ERR?', 300)).line).toBe('-113,"Undefined header"')
    expect((await l.query('SYST:ERR?', 300)).line).toBe('0,"No error"')
    await l.send('NONSENSE')
    await l.send('*CLS')
    expect((await l.query('SYSTem:ERRor?', 300)).line).toBe('0,"No error"')
  })
  it('answer compound questions, and any socket can talk to them', async () => {
    await bench.change({ keyed: true } as never)
    now = 20
    const text = await new Promise<string>((resolve) => {
      const socket = connect(portOf('power'), '127.0.0.1', () => socket.write('*IDN?;:MEAS:POW:AVER?\r\n'))
      socket.once('data', (d) => {
        resolve(d.toString())
        socket.destroy()
      })
    })
    expect(text).toMatch(/^Weirside.*;[\d.]+E\+0\n$/)
  })
  it('read the set, each with its own error inside its class', async () => {
    await bench.change({ keyed: true, toneOn: true } as never)
    now = 20
    const truth = bench.truth()
    const power = Number(await ask('power', 'MEAS:POW:AVER?'))
    expect(power).not.toBe(truth.powerW)
    expect(Math.abs(power / truth.powerW - 1)).toBeLessThan(0.03)
    expect(Math.abs(Number(await ask('counter', 'MEAS:FREQ? (@1)')) / truth.carrierHz! - 1)).toBeLessThan(1e-7)
    expect(Math.abs(Number(await ask('modulation', 'MEAS:FM:DEV:POS?')) / truth.deviationPositiveHz! - 1)).toBeLessThan(0.02)
    expect(Number(await ask('supply', 'MEAS:CURR?'))).toBeCloseTo(truth.supplyA, 6)
    expect(Number(await ask('supply', 'OUTP:ELAP?'))).toBe(10)
  })
  it('the supply takes a current limit: beyond it the voltage falls and the power with it', async () => {
    await bench.change({ keyed: true } as never)
    now = 20
    const free = bench.truth()
    const supply = await line('supply')
    await supply.send('CURR 0.6')
    expect(Number((await supply.query('CURR?', 300)).line)).toBe(0.6)
    expect(Number((await supply.query('MEAS:CURR?', 300)).line)).toBe(0.6)
    expect(Number((await supply.query('MEAS:VOLT?', 300)).line)).toBeLessThan(13)
    expect(bench.truth().powerW).toBeLessThan(free.powerW * 0.8)
    await supply.send('CURR -1')
    expect((await supply.query('SYST:ERR?', 300)).line).toContain('-113')
  })
  it('say "not a number" without a carrier', async () => {
    expect(await ask('counter', 'MEAS:FREQ? (@1)')).toBe('+9.91E+37')
    expect(Number(await ask('power', 'MEAS:POW:AVER?'))).toBe(0)
  })
})

describe('hands on the set', () => {
  it('turn adjusters and controls; what is not named stays', async () => {
    const before = bench.view()
    const after = await bench.change({ adjusters: [{ designator: 'CT1', position: 0.3 }], channel: 40 } as never)
    expect(after).toMatchObject({ channel: 40, lowPower: before.lowPower, adjusters: { ...before.adjusters, CT1: 0.3 } })
    expect((await bench.change({ deliverAgain: true } as never)).adjusters).toEqual(before.adjusters)
  })
  it('unplug an instrument and plug it in again on the same port', async () => {
    const port = portOf('counter')
    const l = await line('counter')
    await bench.change({ plug: { key: 'counter', pluggedIn: false } } as never)
    await expect(l.query('*IDN?', 500)).rejects.toMatchObject({ code: 'closed' })
    await expect(ScpiConnection.open({ host: '127.0.0.1', port }, 300)).rejects.toMatchObject({ code: 'not-reachable' })
    await bench.change({ plug: { key: 'counter', pluggedIn: true } } as never)
    expect(portOf('counter')).toBe(port)
    expect(await ask('counter', '*OPC?')).toBe('1')
  })
  it('by HTTP on loopback; nonsense is refused and changes nothing', async () => {
    const server = controlServer(bench)
    await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
    const url = `http://127.0.0.1:${(server.address() as { port: number }).port}`
    const post = (body: string) => fetch(`${url}/change`, { method: 'POST', body })
    const before = bench.view()
    for (const body of ['{', '{"channel":41}', '{"channel":"1"}', '{"adjusters":[{"designator":"CT9","position":0}]}', '{"strange":1}', 'x'.repeat(20_000)]) expect((await post(body)).status).toBe(400)
    expect({ ...bench.view(), sensitivityV: 0 }).toEqual({ ...before, sensitivityV: 0 })
    expect(await (await post('{"keyed":true}')).json()).toMatchObject({ keyed: true })
    server.closeAllConnections()
    server.close()
  })
})
