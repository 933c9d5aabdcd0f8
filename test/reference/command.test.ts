import { spawnSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { writeSigmf, writeWav } from '../../core/recording'
import type { Measurement } from '../../core/signal'
import { amSignal } from '../fixtures/signals'

const folder = mkdtempSync(join(tmpdir(), 'diapason-command-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const command = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(
    'node',
    [join(import.meta.dirname, '..', '..', 'scripts', 'measure.mjs'), ...args],
    { encoding: 'utf8' },
  )
  return { status, stdout, stderr: stderr.split('\n').filter(l => l !== '' && !l.startsWith('npm warn')) }
}
const write = (name: string, bytes: string | Uint8Array) => {
  writeFileSync(join(folder, name), bytes)
  return join(folder, name)
}
const made = amSignal({ depth: 0.8, seconds: 0.5 })
const { meta, data } = writeSigmf({
  i: Float32Array.from(made.i),
  q: Float32Array.from(made.q),
  sampleRateHz: 48_000,
  centreHz: 27_180_000,
  description: '',
  annotations: [],
})

describe('the command', () => {
  it('says how it is used', () => {
    const { status, stdout, stderr } = command('--help')
    expect([status, stderr]).toEqual([0, []])
    expect(stdout).toContain('--as am|fm|ssb|audio|auto')
  })
  it('prints JSON and nothing else, from either half of a pair', () => {
    write('a.sigmf-data', data)
    const metaFile = write('a.sigmf-meta', meta)
    for (const file of [metaFile, join(folder, 'a.sigmf-data')]) {
      const { status, stdout } = command(file, '--json', '--nominal-hz', '27184300')
      expect(status).toBe(0)
      const m = JSON.parse(stdout) as Measurement
      expect(m.am!.depthNegative).toBeCloseTo(0.8, 3)
      expect(m.carrier!.offsetHz).toBeCloseTo(21, 2)
    }
  })
  it('prints lines for people otherwise', () => {
    expect(command(write('tone.wav', writeWav(Float32Array.from(made.i), 48_000))).stdout).toMatch(
      /signal: audio[\s\S]*audio\.fundamentalHz/,
    )
  })
  it.each<[string, () => string, RegExp]>([
    ['no such file', () => join(folder, 'nothing.wav'), /^nothing\.wav: file: not found$/],
    [
      'a folder',
      () => (mkdirSync(join(folder, 'x.wav')), join(folder, 'x.wav')),
      /^x\.wav: file: not a file$/,
    ],
    ['an empty file', () => write('empty.wav', ''), /^empty\.wav: file: is empty$/],
    [
      'half a pair',
      () => write('lone.sigmf-meta', meta),
      /^lone\.sigmf-meta: data: lone\.sigmf-data is missing beside it$/,
    ],
    [
      'a hash that lies',
      () => (
        write('h.sigmf-data', data),
        write(
          'h.sigmf-meta',
          meta.replace('"core:datatype"', `"core:sha512": "${'0'.repeat(128)}", "core:datatype"`),
        )
      ),
      /^h\.sigmf-data: core:sha512: does not match/,
    ],
    [
      'one sample',
      () => (write('one.sigmf-data', data.subarray(0, 8)), write('one.sigmf-meta', meta)),
      /samples: 1 are too few to measure anything/,
    ],
    ['another kind of file', () => write('a.mp3', 'x'), /^a\.mp3: file: is not a \.sigmf-meta/],
  ])('of %s says file, field and reason in one line, and ends with 2', (_name, file, words) => {
    const { status, stdout, stderr } = command(file(), '--json')
    expect([status, stdout]).toEqual([2, ''])
    expect(stderr).toHaveLength(1)
    expect(stderr[0]).toMatch(words)
  })
})
