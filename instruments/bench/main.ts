import { keyOfThisStart } from '../guardedServer'
import pino from 'pino'
import { controlServer } from './controlServer'
import { SimulatedBench } from './simulatedBench'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'

provideEveryLanguage()

/** The simulated bench as a process: SCPI servers in front of the simulated set, and its control port. */
const log = pino({ base: { process: 'bench' } })
const bench = new SimulatedBench(
  Number(process.env.BENCH_SEED ?? 27),
  () => performance.now() / 1000,
  Number(process.env.BENCH_SCPI_PORT ?? 0),
)
await bench.start()
const server = controlServer(bench, keyOfThisStart())
server.listen(Number(process.env.BENCH_PORT ?? 0), '127.0.0.1', () =>
  log.info({ instruments: bench.view().instruments }, 'simulated bench ready'),
)

// The set lives on while nobody asks: heat and drift are not made up for in one leap.
const tick = setInterval(() => bench.look(), 100)

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    clearInterval(tick)
    server.closeAllConnections()
    server.close()
    void bench.stop().finally(() => process.exit(0))
  })
}
