import { ensureBuilt } from './lib/build.mjs'
import { ensureNodeModules } from './lib/packages.mjs'

await ensureNodeModules()
await ensureBuilt()
console.log('Built')
