import { buildMeasure } from './lib/measureCommand.mjs'

// Run by npm once the packages are there: the command is ready before its first use.
await buildMeasure()
