import { pool } from '../db/pool'
import { selectSchemaVersion } from '../db/queries/check'

/** For what changes nothing: an older database is brought forward by a start, not by this. */
export async function refuseOtherSchema(): Promise<void> {
  const wanted = Number(process.env.DIAPASON_SCHEMA)
  const found = await selectSchemaVersion(pool)
  if (found === wanted) return
  const advice = found < wanted ? 'Start Diapason once, then try again.' : 'Update Diapason, then try again.'
  process.stdout.write(`The database is of version ${found}, this program of ${wanted}. ${advice}\n`)
  process.exit(1)
}
