import { keyOfThisStart } from '../guardedServer'
import pg from 'pg'
import pino from 'pino'
import { INSTRUMENT_PROFILES, asSetUp } from '#core/instrument'
import type { Instrument } from '#shared/instrument'
import { profileOf, setupOf } from '#shared/instrumentSetup'
import { Gateway } from './gateway'
import type { InstrumentConfig } from './instrumentLink'
import { targetsOf } from '../scpi/targets'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'

provideEveryLanguage()

/**
 * The gateway process of a bench: reads from the database which instruments are connected, follows changes by
 * LISTEN, and keeps polling with what it knows while the database is away.
 */
const RETRY_DATABASE_MS = 1000
const LIST = `select id, name, profile_id as "profileId", host, port, meter_kind as "meterKind",
  calibrated_on::text as "calibratedOn",
  attenuation_db as "attenuationDb", path, full_scale as "fullScale", own_profile as "ownProfile"
    from instrument where port is not null order by name`

const log = pino({ base: { process: 'gateway' } })
const targets = targetsOf(
  process.env.DIAPASON_INSTRUMENT_NETWORKS ?? '',
  process.env.SIMULATED_INSTRUMENTS_AT,
)
const gateway = new Gateway(log, targets, keyOfThisStart())

type Row = Instrument & { port: number }

function toConfig(row: Row): InstrumentConfig[] {
  if (!INSTRUMENT_PROFILES.some(p => p.id === row.profileId)) return []
  const profile = profileOf(row)
  if (!profile.talks) return []
  const setup = setupOf(row)
  return [
    {
      id: row.id,
      name: row.name,
      profile: asSetUp(profile, setup),
      ownProfile: row.ownProfile,
      setup,
      endpoint: { host: row.host, port: row.port },
    },
  ]
}

async function follow(): Promise<void> {
  const client = new pg.Client({ connectionString: process.env.DATABASE_URL })
  const gone = new Promise<void>(resolve => {
    client.on('error', () => resolve())
    client.on('end', () => resolve())
  })
  const read = async () => gateway.configure((await client.query<Row>(LIST)).rows.flatMap(toConfig))
  try {
    await client.connect()
    await client.query('listen instrument_changed')
    client.on(
      'notification',
      () => void read().catch(error => log.warn({ error: String(error) }, 'instrument list not read')),
    )
    await read()
    await gone
    log.warn('database connection lost; polling goes on')
  } catch (error) {
    log.warn({ error: String(error) }, 'database not reachable')
  }
  await client.end().catch(() => undefined)
  setTimeout(() => void follow(), RETRY_DATABASE_MS)
}

const port = await gateway.listen(Number(process.env.GATEWAY_PORT ?? 0))
log.info({ port }, 'gateway listening')
void follow()

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => void gateway.close().finally(() => process.exit(0)))
}
