import { migrate } from './lib/migrate.mjs'
import { onRecords } from './lib/onRecords.mjs'

const args = process.argv.slice(2)
if (args.length !== 1 || !args[0]) {
  console.error('npm run passwd -- NAME gives somebody who has lost the password a new one')
  process.exit(2)
}
await onRecords('passwd.mjs', { args, before: migrate })
