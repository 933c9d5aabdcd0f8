import { parseArgs } from 'node:util'
import { ensureNodeModules } from './lib/packages.mjs'

const FAULTS_PER_MINUTE = 30
const { values } = parseArgs({
  options: { minutes: { type: 'string' }, faults: { type: 'string' }, seed: { type: 'string' } },
})
await ensureNodeModules()
const { faultCampaign } = await import('./lib/faults/campaign.mjs')
const faults = Number(values.faults ?? Number(values.minutes ?? 1) * FAULTS_PER_MINUTE)
const seed = Number(values.seed ?? Date.now() % 100_000)
let n = 0
console.log(`${faults} faults, seed ${seed}`)
const result = await faultCampaign({ faults, seed, say: words => console.log(`${++n} ${words}`) })
console.log(JSON.stringify(result, null, 2))
process.exit(result.wrong.length === 0 ? 0 : 1)
