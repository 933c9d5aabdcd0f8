import { pool } from '../../db/pool'
import { measureScale } from './measureScale'
import { seedMany } from './seedMany'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'

provideEveryLanguage()

/** "seed N" fills an empty database; "measure" prints what the queries took, as JSON. For the bench only. */
const [task, jobs] = process.argv.slice(2)
if (task === 'seed')
  await seedMany(process.env.DATABASE_URL!, Number(jobs), text => process.stderr.write(`${text}\n`))
else process.stdout.write(JSON.stringify(await measureScale()))
await pool.end()
