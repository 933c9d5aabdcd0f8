import { copyFileSync, mkdirSync, renameSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { MEASURE } from './measureBuilt.mjs'
import { ALIAS, fromRoot } from './paths.mjs'

const TRANSFORM = 'pffft.wasm'

export async function buildMeasure() {
  const { build } = await import('esbuild')
  const made = await build({
    entryPoints: [fromRoot('cli', 'measure', 'main.ts')],
    bundle: true,
    alias: ALIAS,
    minify: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    write: false,
    logLevel: 'error',
  })
  mkdirSync(dirname(MEASURE), { recursive: true })
  const library = createRequire(import.meta.url).resolve('@echogarden/pffft-wasm/simd')
  copyFileSync(join(dirname(library), TRANSFORM), join(dirname(MEASURE), TRANSFORM))
  // Two commands at once must not read half a file.
  const half = `${MEASURE}.${process.pid}`
  writeFileSync(half, made.outputFiles[0].contents)
  renameSync(half, MEASURE)
}
