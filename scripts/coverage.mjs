#!/usr/bin/env node
import { mkdirSync } from 'node:fs'
import { pathToFileURL } from 'node:url'
import { ensureNodeModules } from './lib/packages.mjs'
import { ALIAS, fromRoot } from './lib/paths.mjs'

/**
 * How well stated uncertainties hold: draws recordings whose truth is known and prints the table of
 * docs/formats. COVERAGE_EACH recordings of each kind.
 */
await ensureNodeModules()
const { build } = await import('esbuild')
const out = fromRoot('.cache', 'coverage', 'coverage.mjs')
mkdirSync(fromRoot('.cache', 'coverage'), { recursive: true })
await build({
  entryPoints: [fromRoot('test', 'truth', 'coverage.ts')],
  bundle: true,
  alias: ALIAS,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  outfile: out,
  logLevel: 'error',
})
const { coverageOf, deviations } = await import(pathToFileURL(out).href)

const each = Number(process.env.COVERAGE_EACH ?? 400)
const percent = share => `${(100 * share).toFixed(0)} %`
const rows = coverageOf(await deviations(each, 1)).map(
  c => `| ${c.figure} | ${c.count} | ${percent(c.within1)} | ${percent(c.within2)} | ${c.rmsZ.toFixed(2)} |`,
)
console.log(
  [
    '| figure | recordings | within 1 u | within 2 u | rms of error over u |',
    '|---|---|---|---|---|',
    ...rows,
  ].join('\n'),
)
