import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { execFileSync, spawnSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { ensureNodeModules } from './lib/packages.mjs'
import { ROOT, fromRoot } from './lib/paths.mjs'

/**
 * Do the tests notice? Each small change of `test/mutations.json` is made in a copy of the sources, and the
 * unit tests run: those of its room first, all of them when these do not notice. Prints what nobody noticed.
 */
await ensureNodeModules()
const mutations = JSON.parse(readFileSync(fromRoot('test', 'mutations.json'), 'utf8'))
const only = process.argv.slice(2)
/** All, those of a room, or those of a number in the list. */
const wanted = (i, file) => only.length === 0 || only.some(o => file.startsWith(o) || o === String(i + 1))
const copy = mkdtempSync(join(tmpdir(), 'diapason-mutation-'))
process.on('exit', () => rmSync(copy, { recursive: true, force: true }))

const files = execFileSync('git', ['ls-files'], { cwd: ROOT, encoding: 'utf8' }).split('\n').filter(Boolean)
for (const file of files.filter(f => !f.startsWith('docs/screenshots/'))) {
  mkdirSync(dirname(join(copy, file)), { recursive: true })
  cpSync(fromRoot(file), join(copy, file))
}
symlinkSync(fromRoot('node_modules'), join(copy, 'node_modules'))
symlinkSync(fromRoot('.nuxt'), join(copy, '.nuxt'))

const NOT_OURS = ['--exclude', 'test/mutations.test.ts']
/** The whole unit run takes one to three minutes. */
const MAX_RUN_MS = 900_000

/** Whether the tests notice; a run that ends by itself within its time has noticed nothing. */
function noticed(paths) {
  const { status, signal } = spawnSync(
    'npx',
    // The test of this very list would notice each change by itself.
    [
      'vitest',
      'run',
      '--project',
      'unit',
      '--project',
      'core',
      '--bail',
      '1',
      '--reporter',
      'dot',
      ...NOT_OURS,
      ...paths,
    ],
    { cwd: copy, stdio: 'ignore', timeout: MAX_RUN_MS },
  )
  // A machine that is too slow has noticed nothing.
  if (signal) throw new Error(`the unit tests did not end within ${MAX_RUN_MS / 1000} s`)
  return status !== 0
}

// Tests that fail without any change would notice everything.
if (noticed([])) throw new Error('the unit tests fail in the copy as it is')

const survivors = []
for (const [i, { file, from, to }] of mutations.entries()) {
  if (!wanted(i, file)) continue
  const path = join(copy, file)
  const source = readFileSync(path, 'utf8')
  const times = source.split(from).length - 1
  if (times !== 1) throw new Error(`${file}: "${from}" stands there ${times} times`)
  writeFileSync(
    path,
    source.replace(from, () => to),
  )
  const room = file.split('/').slice(0, 2).join('/')
  const by = [[room], []].find(noticed)
  writeFileSync(path, source)
  const said = by ? `noticed (${by[0] ?? 'all'})` : 'NOT NOTICED'
  console.log(`${i + 1}/${mutations.length} ${file}: ${said}`)
  if (!by) survivors.push({ file, from, to })
}
const tried = mutations.filter((m, i) => wanted(i, m.file)).length
for (const { file, from, to } of survivors) console.log(`\n${file}\n  - ${from}\n  + ${to}`)
console.log(`\n${tried - survivors.length} of ${tried} changes noticed`)
