import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { rigDesign, rigFault } from '#core/rig'
import type { PracticeChange } from '#shared/practice'
import { ScpiConnection } from '../scpi/scpiConnection'
import { SimulatedBench } from './simulatedBench'

/**
 * Symptoms of the table as they are read by the instruments over the wire, with their errors. The exact ones
 * are tested in core/rig/faults.
 */
let now = 0
let bench: SimulatedBench
let lines: Record<string, ScpiConnection> = {}
beforeAll(async () => {
  bench = new SimulatedBench(1, () => now, 0)
  await bench.start()
})
afterAll(async () => {
  Object.values(lines).forEach(l => l.close())
  await bench.stop()
})

async function begin(fault: string | null, designId: string, seed = 21) {
  Object.values(lines).forEach(l => l.close())
  const { instruments } = await bench.begin({
    designId,
    faultIds: fault ? [fault] : [],
    seed,
    kitId: 'test-set',
  })
  lines = Object.fromEntries(
    await Promise.all(
      instruments.map(
        async i => [i.key, await ScpiConnection.open({ host: '127.0.0.1', port: i.port }, 500)] as const,
      ),
    ),
  )
  await bench.change({ warmByS: 1800 })
}
async function read(
  change: Partial<PracticeChange>,
  key: string,
  query: string,
  afterS = 6,
): Promise<number> {
  await bench.change(change)
  now += afterS
  await lines[key]!.query(query, 500)
  now += 2 // the needle settles
  return Number((await lines[key]!.query(query, 500)).text)
}
const POWER = 'MEAS:POW:AVER?'
const healthyThen = async (
  designId: string,
  fault: string,
  change: Partial<PracticeChange>,
  key: string,
  query: string,
) => {
  await begin(null, designId)
  const healthy = await read(change, key, query)
  await begin(fault, designId)
  return { healthy, faulty: await read(change, key, query) }
}

describe('read over SCPI', () => {
  it('X01 the reference pin tells what the channel hides', async () => {
    await begin('X01', 'osmund-27f')
    expect(await read({}, 'testset', 'MEAS:FREQ? (@2)')).toBeCloseTo(10_239_590, -1)
    expect(Math.abs((await read({ keyed: true }, 'testset', 'MEAS:FREQ? (@1)')) - 27_791_250)).toBeLessThan(
      15,
    )
  })
  it('X03 the same ppm on every channel', async () => {
    await begin('X03', 'osmund-40a')
    for (const [channel, hz] of [
      [1, 26_965_000 - 296.6],
      [40, 27_405_000 - 301.5],
    ] as const)
      expect(
        Math.abs((await read({ channel, keyed: true }, 'testset', 'MEAS:FREQ? (@1)')) - hz),
      ).toBeLessThan(5)
  })
  it('X07 the depth follows the audio', async () => {
    await begin('X07', 'osmund-40a')
    const depth = (toneLevelV: number) =>
      read({ keyed: true, toneOn: true, toneLevelV }, 'testset', 'MEAS:AM:DEPT:POS?')
    expect(await depth(0.03)).toBeCloseTo(1.25, 1)
    expect(await depth(0.015)).toBeCloseTo(0.63, 1)
  })
  it('X09 AM far too high, control dead', async () => {
    await begin('X09', 'larkfield-lx8')
    const at = (position: number) =>
      read(
        {
          mode: 'AM',
          keyed: true,
          adjusters: [{ designator: 'VR13', position, tool: undefined, forced: undefined }],
        },
        'testset',
        POWER,
      )
    const [low, high] = [await at(0.1), await at(0.9)]
    expect(low).toBeGreaterThan(17)
    expect(Math.abs(10 * Math.log10(high / low))).toBeLessThan(0.1)
  })
  it('X10 the current limit at idle, the voltage gone', async () => {
    await begin('X10', 'osmund-27f')
    expect(await read({ limitA: 1.5 }, 'supply', 'MEAS:CURR?')).toBeCloseTo(1.5, 1)
    expect(await read({}, 'supply', 'MEAS:VOLT?')).toBeLessThan(2)
  })
  it('X11 five volts on the gate', async () => {
    await begin('X11', 'quillon-p5')
    expect(await read({ driveOff: true, keyed: true }, 'multimeter', 'MEAS:VOLT? (@2)', 0.5)).toBeCloseTo(
      5,
      1,
    )
  })
  it('X12 no idle current, small tones distorted', async () => {
    await begin('X12', 'larkfield-lx8')
    expect(await read({ mode: 'USB', keyed: true, driveOff: true }, 'multimeter', 'MEAS:CURR? (@1)')).toBe(0)
  })
  it('X13 a little power that fades', async () => {
    await begin('X13', 'osmund-40a')
    const first = await read({ keyed: true }, 'testset', POWER, 0.2)
    now += 6
    expect(Number((await lines.testset!.query(POWER, 500)).text)).toBeLessThan(first * 0.9)
  })
  it('X17 a third of the output, plate current still dips', async () => {
    await begin('X17', 'quillon-hb150')
    expect(
      await read(
        {
          keyed: true,
          adjusters: [{ designator: 'CARRIER', position: 1, tool: undefined, forced: undefined }],
        },
        'testset',
        POWER,
      ),
    ).toBeLessThan(45)
  })
  it('X20 the control voltage at the rail on channel 40', async () => {
    await begin('X20', 'osmund-40a')
    expect(await read({ channel: 40 }, 'multimeter', 'MEAS:VOLT? (@1)')).toBeGreaterThan(7.5)
  })
  it('X21 SINAD at 10 uV 10 dB and more down', async () => {
    const { healthy, faulty } = await healthyThen(
      'osmund-40a',
      'X21',
      { inputV: 3e-6 },
      'testset',
      'MEAS:SIN?',
    )
    expect(healthy - faulty).toBeGreaterThan(10)
  })
  it('X26 LSB alone is 480 Hz off', async () => {
    await begin('X26', 'larkfield-lx8')
    const off = async (mode: 'USB' | 'LSB') =>
      (await read({ mode, keyed: true, toneOn: true, toneHz: 1000 }, 'testset', 'MEAS:FREQ? (@1)')) -
      27_185_000 -
      (mode === 'USB' ? 1000 : -1000)
    expect(await off('LSB')).toBeCloseTo(480, -1.3)
    expect(Math.abs(await off('USB'))).toBeLessThan(15)
  })
  it('X31 the carrier 20 dB down', async () => {
    await begin('X31', 'larkfield-lx8')
    expect(await read({ mode: 'USB', keyed: true, toneOn: false }, 'analyser', 'CALC:CARR?')).toBeCloseTo(
      20,
      -0.9,
    )
  })
  it('every fault can be put on every set that it names, and every instrument still answers', async () => {
    for (const fault of [
      'X02',
      'X04',
      'X05',
      'X06',
      'X08',
      'X14',
      'X15',
      'X16',
      'X18',
      'X19',
      'X22',
      'X23',
      'X24',
      'X25',
      'X27',
      'X28',
      'X29',
      'X30',
      'X32',
    ]) {
      const [designId] = rigFault(fault).designIds
      await begin(fault, designId!)
      expect(bench.view().session.model).toBe(rigDesign(designId!).name)
      for (const [key, query] of [
        ['testset', POWER],
        ['analyser', 'CALC:HARM?'],
        ['multimeter', 'MEAS:VOLT? (@1)'],
        ['supply', 'MEAS:CURR?'],
      ] as const)
        expect(Number((await lines[key]!.query(query, 500)).text)).not.toBeNaN()
    }
  }, 30_000)
})
