import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { performance } from 'node:perf_hooks'
import { fromRoot } from './lib/paths.mjs'
import { ensureNodeModules } from './lib/packages.mjs'
import { run } from './lib/run.mjs'

/**
 * Everything that must hold, on a machine that has only Debian, Node and npm: set-up, types, lint, import
 * rules, unit, integration, end to end. Each check counts as one; the tests count themselves. Ends with "N
 * passed, N failed".
 */
const CACHE = fromRoot('.cache')
let passed = 0
let failed = 0
/** Said once more at the very end, for those who only see the last lines. */
const whatFailed = []

function say(text) {
  console.log(`\n== ${text}`)
}

/** Several go on at once: what one of them says is shown when it has ended. */
async function check(name, command, args) {
  const started = performance.now()
  const { code, said } = await run(command, args, { allowFailure: true, quiet: true })
  say(name)
  if (code !== 0) console.log(said)
  console.log(
    `${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${((performance.now() - started) / 1000).toFixed(0)} s`,
  )
  if (code === 0) passed++
  else {
    failed++
    whatFailed.push(name)
  }
}

/** A runner that died without a report, or ran nothing, has failed. */
async function suite(name, command, args, report, read) {
  say(name)
  rmSync(report, { force: true })
  const { code } = await run(command, args, { allowFailure: true })
  const counts = existsSync(report)
    ? read(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 0 }
  if (counts.passed + counts.failed === 0 || (code !== 0 && counts.failed === 0)) {
    counts.failed++
    whatFailed.push(`${name}: the runner ended with ${code} and no failed test in its report`)
  }
  passed += counts.passed
  failed += counts.failed
  whatFailed.push(...(counts.names ?? []).map(test => `${name}: ${test}`))
  const retried = counts.retried ? ` ${counts.retried} only on the second try.` : ''
  console.log(`${name}: ${counts.passed} passed, ${counts.failed} failed.${retried}`)
}

/** A file that did not even load has no failed test of its own, and is named itself. */
const vitestFailures = ({ name, status, assertionResults }) => {
  const tests = assertionResults.filter(test => test.status === 'failed').map(test => test.fullName)
  return status === 'failed' && tests.length === 0 ? [name] : tests
}
const vitest = report => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + (report.numFailedTestSuites > 0 && report.numFailedTests === 0 ? 1 : 0),
  names: report.testResults.flatMap(vitestFailures),
})
const playwrightFailures = suite => [
  ...(suite.specs ?? []).filter(spec => !spec.ok).map(spec => `${spec.file}: ${spec.title}`),
  ...(suite.suites ?? []).flatMap(playwrightFailures),
]
const playwright = report => ({
  passed: report.stats.expected + report.stats.flaky,
  failed: report.stats.unexpected,
  retried: report.stats.flaky,
  names: report.suites.flatMap(playwrightFailures),
})
const vitestArgs = (report, ...projects) => [
  'vitest',
  'run',
  ...projects.flatMap(project => ['--project', project]),
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${report}`,
]

async function checkTheRest() {
  const rules = ['--config', '.dependency-cruiser.cjs', '--output-type', 'err']
  const rooms = ['core', 'shared', 'instruments', 'server', 'app', 'cli', 'test']
  await check('Types of the core', 'npx', ['tsc', '-p', 'core/tsconfig.json'])
  await check('Format', 'npx', ['prettier', '--check', '.', '--log-level', 'warn'])
  await check('Lint', 'npx', ['eslint', '.'])
  await check('Import rules', 'npx', ['depcruise', ...rules, ...rooms])
}

mkdirSync(CACHE, { recursive: true })
try {
  say('Set-up')
  await ensureNodeModules()
  const { ensurePostgres } = await import('./lib/pgPrograms.mjs')
  const { ensureChromium } = await import('./lib/browser.mjs')
  const { ensureBuilt } = await import('./lib/build.mjs')
  await ensurePostgres()
  const { ensureReferences } = await import('./lib/references.mjs')
  await ensureChromium()
  await ensureReferences()
  await ensureBuilt()
  if (!existsSync(fromRoot('.nuxt', 'eslint.config.mjs')))
    await run('npx', ['nuxt', 'prepare'], { quiet: true })

  await Promise.all([check('Types', 'npx', ['nuxt', 'typecheck']), checkTheRest()])
  const unit = fromRoot('.cache', 'unit.json')
  await suite('Unit and component tests', 'npx', vitestArgs(unit, 'core', 'unit', 'components'), unit, vitest)
  const outside = fromRoot('.cache', 'outside.json')
  await suite(
    'Outside references, known truth',
    'npx',
    vitestArgs(outside, 'reference', 'truth'),
    outside,
    vitest,
  )
  const integration = fromRoot('.cache', 'integration.json')
  await suite('Integration tests', 'npx', vitestArgs(integration, 'integration'), integration, vitest)
  await suite('End to end', 'npx', ['playwright', 'test'], fromRoot('.cache', 'e2e.json'), playwright)
} catch (error) {
  console.error(error instanceof Error ? error.stack : error)
  failed++
  whatFailed.push('the set-up, or the run itself')
}
for (const name of whatFailed) console.log(`FAILED ${name}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed > 0 ? 1 : 0)
