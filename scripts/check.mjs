import { checkRecords } from './lib/onRecords.mjs'

await checkRecords()
