import { launch } from './lib/launch.mjs'

await launch({ demo: false })
