import { migrate } from './lib/migrate.mjs'
import { onRecords } from './lib/onRecords.mjs'

const args = process.argv.slice(2)
const [owner, reason, really] = args
if (!owner || !reason || (really !== undefined && really !== '--yes')) {
  console.error('npm run erase -- OWNER REASON, which shows what would be done; then the same with --yes')
  process.exit(2)
}
await onRecords('erase.mjs', { args, before: migrate })
