import { execFileSync } from 'node:child_process'
import { connect } from 'node:net'
import { mkdirSync, writeFileSync } from 'node:fs'
import { performance } from 'node:perf_hooks'
import { setTimeout as sleep } from 'node:timers/promises'
import { ALIAS, fromRoot } from './paths.mjs'

const CLIENTS = 20
const EVERY_MS = 100
const round = (x, digits = 1) => Number(x.toFixed(digits))

/**
 * Speed of the simulated set on one core, and of its instruments under many clients.
 * @param spread of delays
 * @param bench the control address
 */
export async function rigBench(benchUrl, seconds, spread, percentile) {
  return { ...(await oneCore()), clients: await manyClients(benchUrl, seconds, spread, percentile) }
}

async function oneCore() {
  const { build } = await import('esbuild')
  const made = await build({
    entryPoints: [fromRoot('cli', 'rigBench', 'main.ts')],
    bundle: true,
    alias: ALIAS,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    write: false,
    logLevel: 'error',
  })
  const script = fromRoot('.cache', 'rig-bench.mjs')
  mkdirSync(fromRoot('.cache'), { recursive: true })
  writeFileSync(script, made.outputFiles[0].contents)
  const { slowTimesRealTime, iqTimesRealTime } = JSON.parse(
    execFileSync('node', [script], { encoding: 'utf8' }),
  )
  return {
    slow: {
      timesRealTime: round(slowTimesRealTime, 0),
      what: 'AM multimode keyed with tone, 10 Hz ticks, all readings',
      aim: 'at least 200',
    },
    iq: { timesRealTime: round(iqTimesRealTime), what: '250 kS/s with noise', aim: 'at least 5' },
  }
}

/** Every client asks one question each 100 ms and waits for its answer. */
async function manyClients(benchUrl, seconds, spread, percentile) {
  const { instruments } = await (await fetch(`${benchUrl}/state`)).json()
  const delays = []
  let lost = 0
  const questions = {
    power: 'MEAS:POW:AVER?',
    counter: 'MEAS:FREQ? (@2)',
    modulation: 'MEAS:AM:DEPT:POS?',
    supply: 'MEAS:CURR?',
  }
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, i) => {
      const instrument = instruments[i % instruments.length]
      const socket = connect(instrument.port, '127.0.0.1')
      socket.setNoDelay(true)
      await new Promise(resolve => socket.once('connect', resolve))
      let answered = null
      socket.on('data', () => answered?.())
      await sleep((i * EVERY_MS) / CLIENTS)
      const until = performance.now() + seconds * 1000
      while (performance.now() < until) {
        const started = performance.now()
        const got = await Promise.race([
          new Promise(resolve => {
            answered = () => resolve(true)
            socket.write(`${questions[instrument.key]}\n`)
          }),
          sleep(2000, false),
        ])
        if (got) delays.push(performance.now() - started)
        else lost++
        await sleep(Math.max(0, EVERY_MS - (performance.now() - started)))
      }
      socket.destroy()
    }),
  )
  return {
    clients: CLIENTS,
    perSecond: 1000 / EVERY_MS,
    seconds,
    lost,
    p99Ms: round(percentile(delays, 0.99)),
    ...spread(delays),
    aim: 'none lost, p99 under 20 ms',
  }
}
