import { newestMigration } from './lib/migrate.mjs'
import { onRecords } from './lib/onRecords.mjs'

/** Goes through everything that is kept, and changes nothing. */
await onRecords('check.mjs', { env: { DIAPASON_SCHEMA: String(newestMigration()) } })
