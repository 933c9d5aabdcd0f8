import { pool } from '../db/pool'
import { setUpWorkshop } from '../db/queries/workshop'
import { connectSimulatedBench } from './demoInstruments'
import { loadDemoJobs } from './demoJobs'
import { loadDemoRecording } from './demoRecording'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'

provideEveryLanguage()

/** Demo data into an empty database; the simulated instruments are pointed at their ports on every start. */
await setUpWorkshop(pool, { name: 'Weirside Bench', signIn: false, ruleSetId: null })
await connectSimulatedBench(process.env.BENCH_URL!)
const {
  rows: [count],
} = await pool.query<{ jobs: number }>('select count(*)::int as jobs from job')
if (count!.jobs === 0) {
  await loadDemoJobs()
  await loadDemoRecording(228)
}
await pool.end()
