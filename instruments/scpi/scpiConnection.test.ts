import { afterEach, describe, expect, it } from 'vitest'
import { fakeInstrument } from '../../test/fixtures/fakeInstrument'
import { instrumentProfile } from '#core/instrument'
import { pollInstrument } from './pollInstrument'
import { ScpiConnection } from './scpiConnection'

const open: { close: () => unknown }[] = []
afterEach(async () => {
  for (const o of open.splice(0)) await o.close()
})

async function connect(answer: Parameters<typeof fakeInstrument>[0]) {
  const instrument = await fakeInstrument(answer)
  const line = await ScpiConnection.open({ host: '127.0.0.1', port: instrument.port }, 500)
  open.push(line, instrument)
  return line
}

describe('one line to an instrument', () => {
  it('asks and takes the answer, with the time of its last byte', async () => {
    const line = await connect(q => (q === '*IDN?' ? 'Maker,Model,1,2\r\n' : null))
    const before = performance.timeOrigin + performance.now()
    const answer = await line.query('*IDN?', 300)
    expect(answer.text).toBe('Maker,Model,1,2')
    expect(answer.receivedAtMs).toBeGreaterThanOrEqual(before)
  })
  it('puts an answer together that comes in pieces', async () => {
    const line = await connect((_q, socket) => {
      socket.write('+3.9')
      setTimeout(() => socket.write('0E+00\n'), 40)
      return null
    })
    expect((await line.query('MEAS?', 300)).text).toBe('+3.90E+00')
  })
  it('asks one question at a time', async () => {
    let pending = 0
    let most = 0
    const line = await connect((q, socket) => {
      most = Math.max(most, ++pending)
      setTimeout(() => {
        pending--
        socket.write(`${q.slice(1)}\n`)
      }, 10)
      return null
    })
    const answers = await Promise.all(['a1', 'a2', 'a3', 'a4'].map(q => line.query(q, 500)))
    expect(answers.map(a => a.text)).toEqual(['1', '2', '3', '4'])
    expect(most).toBe(1)
  })
  it('gives up after its time, and a late answer is never taken for the next one', async () => {
    const line = await connect((_q, socket) => {
      setTimeout(() => socket.write('old\n'), 120)
      return null
    })
    await expect(line.query('A?', 60)).rejects.toMatchObject({ code: 'timeout' })
    expect(line.open).toBe(false)
    await expect(line.query('B?', 60)).rejects.toMatchObject({ code: 'timeout' }) // the failure that closed the line
  })
  it('half a line and nothing more is a time-out', async () => {
    const line = await connect(() => '+3.9')
    await expect(line.query('A?', 80)).rejects.toMatchObject({ code: 'timeout' })
  })
  it('notices that the other side hung up', async () => {
    const line = await connect((_q, socket) => (socket.destroy(), null))
    await expect(line.query('A?', 500)).rejects.toMatchObject({ code: 'closed' })
  })
  it('does not let a babbling instrument fill the memory', async () => {
    const line = await connect(() => 'x'.repeat(70_000))
    await expect(line.query('A?', 500)).rejects.toMatchObject({ code: 'line-too-long' })
  })
  it('says that nobody is there', async () => {
    const gone = await fakeInstrument(() => null)
    await gone.close()
    await expect(ScpiConnection.open({ host: '127.0.0.1', port: gone.port }, 500)).rejects.toMatchObject({
      code: 'not-reachable',
    })
  })
  it('closes in order: later questions are refused', async () => {
    const line = await connect(() => '1\n')
    line.close()
    await expect(line.query('A?', 100)).rejects.toMatchObject({ code: 'closed' })
    await expect(line.send('*CLS')).rejects.toMatchObject({ code: 'closed' })
  })
})

describe('a poll', () => {
  const profile = instrumentProfile('scpi-power-meter')
  it('reads every quantity with its standard uncertainty', async () => {
    const line = await connect(q => (q.includes('AVER') ? '+3.90E+00\n' : '+4.00E+00\n'))
    const { readings } = await pollInstrument(line, profile, 300)
    expect(readings.map(r => [r.quantity, r.value])).toEqual([
      ['powerW', 3.9],
      ['pepW', 4],
    ])
    // 3 % of 3.9 W + 1 mW as a bound, over the square root of three
    expect(readings[0]!.standardUncertainty).toBeCloseTo(0.118 / Math.sqrt(3), 9)
  })
  it('shows nonsense as garbled, no signal and overload as what they are, never as a value', async () => {
    const answers = ['?#%$\n', '+9.91E+37\n']
    const line = await connect(() => answers.shift()!)
    const { readings } = await pollInstrument(line, profile, 300)
    expect(readings.map(r => [r.status, r.value])).toEqual([
      ['garbled', null],
      ['no-signal', null],
    ])
  })
})
