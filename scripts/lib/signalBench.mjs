import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fromRoot } from './paths.mjs'
import { PYTHON, ensureReferences } from './references.mjs'

const PARTS = ['read, health, spectrum', 'tuning in', 'carrier and modulation', 'bandwidth and neighbours']
const SECONDS = [1, 10, 60]
const round = (x, digits = 1) => Number(x.toFixed(digits))

/** All measurements of an AM recording at 250 kS/s against the same in vectorised SciPy; how time and memory grow with length. */
export async function signalBench() {
  await ensureReferences()
  const { build } = await import('esbuild')
  const folder = mkdtempSync(join(tmpdir(), 'diapason-signal-'))
  try {
    const made = await build({ entryPoints: [fromRoot('cli', 'bench', 'main.ts')], bundle: true, platform: 'node', format: 'esm', target: 'node20', packages: 'external', write: false, logLevel: 'error' })
    const script = fromRoot('.cache', 'signal-bench.mjs')
    mkdirSync(fromRoot('.cache'), { recursive: true })
    writeFileSync(script, made.outputFiles[0].contents)
    const speed = (...args) => execFileSync(PYTHON, [fromRoot('test', 'reference', 'speed.py'), ...args], { encoding: 'utf8' })
    speed('make', folder, ...SECONDS.map(String))
    const ours = (seconds, mode) => JSON.parse(execFileSync('node', [script, join(folder, `speed-${seconds}.sigmf-meta`), mode], { encoding: 'utf8' }))
    const ten = ours(10, 'parts')
    const scipy = JSON.parse(speed('time', join(folder, 'speed-10.sigmf-data')))
    const sum = list => list.reduce((a, b) => a + b, 0)
    return {
      recording: '10 s of AM at 250 kS/s, ci16',
      parts: Object.fromEntries(PARTS.map((name, k) => [name, { oursMs: round(ten.parts[k]), scipyMs: round(scipy[k]) }])),
      partsTogether: { oursMs: round(sum(ten.parts)), scipyMs: round(sum(scipy)), ratio: round(sum(ten.parts) / sum(scipy), 2), aim: 'ratio at most 1.0' },
      wholeMs: round(ten.wholeMs), timesRealTime: round(10_000 / ten.wholeMs), aim: 'at least 20 times real time',
      byLength: SECONDS.map((s) => {
        const { wholeMs, peakMb } = ours(s, 'whole')
        return { seconds: s, firstRunMs: round(wholeMs, 0), msPerSecond: round(wholeMs / s, 0), peakMb: round(peakMb, 0) }
      }),
    }
  }
  finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
