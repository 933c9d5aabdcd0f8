import { ensureBuilt } from './lib/build.mjs'
import { buildMeasure } from './lib/measureCommand.mjs'
import { ensureNodeModules } from './lib/packages.mjs'

await ensureNodeModules()
await ensureBuilt()
await buildMeasure()
console.log('Built')
