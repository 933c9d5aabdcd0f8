import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from 'esbuild'
import { afterAll, describe, expect, it } from 'vitest'
import { ALIAS } from '../../scripts/lib/paths.mjs'

const ROOT = join(import.meta.dirname, '..', '..')
const folder = mkdtempSync(join(ROOT, '.cache', 'bound-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** What docs/architecture.md promises, with the 70 MB that Node itself takes [MB]. */
const PROMISED_MB = 250

describe('memory', () => {
  it('stays bounded however long the recording: 60 s at 2 MS/s, made while it is read', async () => {
    const script = join(folder, 'bench.mjs')
    await build({
      entryPoints: [join(ROOT, 'cli', 'bench', 'main.ts')],
      bundle: true,
      alias: ALIAS,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      packages: 'external',
      outfile: script,
      logLevel: 'error',
    })
    const { peakMb, depth } = JSON.parse(
      execFileSync('node', [script, 'bound', '60'], { encoding: 'utf8', cwd: tmpdir() }),
    ) as { peakMb: number; depth: number }
    expect(depth).toBeCloseTo(0.8, 3)
    expect(peakMb).toBeLessThan(PROMISED_MB)
  }, 300_000)
})
