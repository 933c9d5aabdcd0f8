#!/usr/bin/env node
import { pathToFileURL } from 'node:url'
import { MEASURE, measureIsBuilt } from './lib/measureBuilt.mjs'

if (!measureIsBuilt()) {
  // What the set-up has to say must not end up among the figures.
  console.log = console.error
  const { ensureNodeModules } = await import('./lib/packages.mjs')
  const { buildMeasure } = await import('./lib/measureCommand.mjs')
  await ensureNodeModules()
  if (!measureIsBuilt()) await buildMeasure()
}
await import(pathToFileURL(MEASURE).href)
