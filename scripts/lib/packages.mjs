import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { run } from './run.mjs'
import { fromRoot } from './paths.mjs'

const STAMP = fromRoot('node_modules', '.diapason-lock')
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(fromRoot('package-lock.json')))
    .digest('hex')

/** npm ci when node_modules is missing, half made or of another lock file. */
export async function ensureNodeModules() {
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lockHash()) return
  console.log('Installing the npm packages (about a minute, once)')
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'])
  writeFileSync(STAMP, lockHash())
}

/** Installs Debian packages when a probe says that they are missing. Needs root, or says what to type. */
export async function ensureDebian(what, present, names) {
  if (present()) return
  const command = `apt-get install -y --no-install-recommends ${names.join(' ')}`
  if (process.getuid?.() !== 0) throw new Error(`${what} is missing. As root: apt-get update && ${command}`)
  console.log(`Installing ${what} from Debian's packages`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  await run('apt-get', ['update', '-q'], { quiet: true, env })
  await run('apt-get', ['install', '-y', '-q', '--no-install-recommends', ...names], { quiet: true, env })
  if (!present()) throw new Error(`${what} was installed but is still not found`)
}
