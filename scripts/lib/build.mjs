import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ALIAS, OUTPUT, ROOT, fromRoot } from './paths.mjs'
import { run } from './run.mjs'

const SOURCES = [
  'app',
  'core',
  'i18n',
  'instruments',
  'public',
  'server',
  'shared',
  'nuxt.config.ts',
  'package-lock.json',
  'scripts/lib/build.mjs',
  'scripts/lib/paths.mjs',
]
const STAMP = join(OUTPUT, 'diapason-sources')
/** Processes of their own, bundled so that plain Node runs them. */
const PROCESSES = {
  gateway: 'instruments/gateway/main.ts',
  bench: 'instruments/bench/main.ts',
  check: 'server/check/main.ts',
  demo: 'server/demo/main.ts',
  erase: 'server/erase/main.ts',
  passwd: 'server/passwd/main.ts',
  reader: 'server/reader/main.ts',
  scale: 'server/demo/scale/main.ts',
  transfer: 'server/transfer/main.ts',
}

function* files(path) {
  if (!statSync(path).isDirectory()) {
    yield path
    return
  }
  for (const name of readdirSync(path).sort()) yield* files(join(path, name))
}

function sourceHash() {
  const hash = createHash('sha256')
  for (const source of SOURCES) {
    for (const file of files(fromRoot(source))) {
      if (/\.test\.ts$/.test(file)) continue
      hash.update(file.slice(ROOT.length)).update(readFileSync(file))
    }
  }
  return hash.digest('hex')
}

/** Builds the application and the processes unless what stands there was made from these very sources. */
export async function ensureBuilt() {
  const hash = sourceHash()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hash) return
  console.log('Building (about a minute, whenever the sources changed)')
  await run('npx', ['nuxt', 'build', '--logLevel=warn'], { quiet: true })
  await buildProcesses()
  writeFileSync(STAMP, hash)
}

async function buildProcesses() {
  const { build } = await import('esbuild')
  const outdir = join(OUTPUT, 'processes')
  mkdirSync(outdir, { recursive: true })
  await build({
    entryPoints: Object.fromEntries(Object.entries(PROCESSES).map(([name, path]) => [name, fromRoot(path)])),
    outdir,
    bundle: true,
    alias: ALIAS,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    outExtension: { '.js': '.mjs' },
    logLevel: 'warning',
  })
}
