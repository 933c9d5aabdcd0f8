import { execFileSync, spawnSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { buildMeasure } from './measureCommand.mjs'
import { ALIAS, fromRoot } from './paths.mjs'
import { PYTHON, ensureReferences } from './references.mjs'

const PARTS = ['read, health, spectrum', 'tuning in', 'carrier and modulation', 'bandwidth and neighbours']
const SECONDS = [1, 10, 60]
const WIDE_SECONDS = 20
const COLD_ROUNDS = 5
const round = (x, digits = 1) => Number(x.toFixed(digits))
const sum = list => list.reduce((a, b) => a + b, 0)
const middle = list => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

const SPEED = fromRoot('test', 'reference', 'speed.py')
const COMMAND = fromRoot('scripts', 'measure.mjs')
const speed = (...args) => execFileSync(PYTHON, [SPEED, ...args], { encoding: 'utf8' })

/** Wall time of a process from its start to its end [ms]. */
function wall(program, args) {
  const started = performance.now()
  const { status } = spawnSync(program, args, { stdio: 'ignore' })
  if (status !== 0) throw new Error(`${program} ${args.join(' ')} ended with ${status}`)
  return performance.now() - started
}

/** Both as whole processes, in turn, so that a machine that is busy for a while is busy for both. */
function coldAgainstScipy(folder) {
  const rounds = Array.from({ length: COLD_ROUNDS }, () => ({
    ours: wall('node', [COMMAND, join(folder, 'speed-10.sigmf-meta'), '--json']),
    scipy: wall(PYTHON, [SPEED, 'once', join(folder, 'speed-10.sigmf-data')]),
  }))
  const ratios = rounds.map(r => r.ours / r.scipy)
  return {
    oursMs: round(middle(rounds.map(r => r.ours))),
    scipyMs: round(middle(rounds.map(r => r.scipy))),
    ratio: round(middle(ratios), 2),
    aim: 'ratio at most 0.7',
  }
}

function startOfCommand() {
  const rounds = Array.from({ length: COLD_ROUNDS }, () => ({
    command: wall('node', [COMMAND, '--help']),
    bareNode: wall('node', ['-e', '0']),
  }))
  return {
    commandMs: round(middle(rounds.map(r => r.command))),
    bareNodeMs: round(middle(rounds.map(r => r.bareNode))),
    aim: 'under 120 ms',
  }
}

async function benchScript() {
  const { build } = await import('esbuild')
  const made = await build({
    entryPoints: [fromRoot('cli', 'bench', 'main.ts')],
    bundle: true,
    alias: ALIAS,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    write: false,
    logLevel: 'error',
  })
  const script = fromRoot('.cache', 'signal-bench.mjs')
  mkdirSync(fromRoot('.cache'), { recursive: true })
  writeFileSync(script, made.outputFiles[0].contents)
  return script
}

/**
 * All measurements of an AM recording at 250 kS/s against the same in vectorised SciPy; how time and memory
 * grow with length.
 */
export async function signalBench() {
  await ensureReferences()
  await buildMeasure()
  const folder = mkdtempSync(join(tmpdir(), 'diapason-signal-'))
  try {
    const script = await benchScript()
    speed('make', folder, ...SECONDS.map(String))
    speed('wide', folder, String(WIDE_SECONDS))
    const ours = (file, mode) =>
      JSON.parse(execFileSync('node', [script, join(folder, file), mode], { encoding: 'utf8' }))
    const ten = ours('speed-10.sigmf-meta', 'parts')
    const scipy = JSON.parse(speed('time', join(folder, 'speed-10.sigmf-data')))
    const wide = ours('wide.sigmf-meta', 'whole')
    return {
      recording: '10 s of AM at 250 kS/s, ci16',
      parts: Object.fromEntries(
        PARTS.map((name, k) => [name, { oursMs: round(ten.parts[k]), scipyMs: round(scipy[k]) }]),
      ),
      warm: {
        oursMs: round(ten.wholeMs),
        scipyMs: round(sum(scipy)),
        ratio: round(ten.wholeMs / sum(scipy), 2),
        aim: 'ratio at most 0.35',
      },
      cold: coldAgainstScipy(folder),
      start: startOfCommand(),
      timesRealTime: round(10_000 / ten.wholeMs),
      aim: 'at least 20 times real time',
      wide: {
        recording: `${WIDE_SECONDS} s at 2.048 MS/s, cu8`,
        firstRunMs: round(wide.wholeMs, 0),
        peakMb: round(wide.peakMb, 0),
        aim: '4 s, 130 MB',
      },
      byLength: SECONDS.map(s => {
        const { wholeMs, peakMb } = ours(`speed-${s}.sigmf-meta`, 'whole')
        return {
          seconds: s,
          firstRunMs: round(wholeMs, 0),
          msPerSecond: round(wholeMs / s, 0),
          peakMb: round(peakMb, 0),
        }
      }),
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
