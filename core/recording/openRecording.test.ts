import fc from 'fast-check'
import { zipSync } from 'fflate'
import wavefile from 'wavefile'
import { describe, expect, it } from 'vitest'
import { CoreError } from '../errors'
import { bytesSource, openRecording, type ByteSource } from './'
import { text, written, tar } from '../../test/fixtures/recordings'

describe('whatever bytes', () => {
  const samples: readonly [string, Uint8Array, Uint8Array | null][] = [
    ['a.sigmf-meta', text(written.meta), written.data],
    ['a.wav', text('RIFF'), null],
    ['a.csv', text('0,1\n1,2\n2,3\n'), null],
    [
      'a.sigmf',
      tar({ 'a.sigmf-meta': text(written.meta), 'a.sigmf-data': written.data.subarray(0, 4096) }),
      null,
    ],
    [
      'a.zip',
      zipSync({ 'a.sigmf-meta': text(written.meta), 'a.sigmf-data': written.data.subarray(0, 4096) }),
      null,
    ],
  ]
  const RUNS = Number(process.env.FUZZ_RUNS ?? 1500)
  /**
   * Truncated and changed files end in an error of ours or in a recording that can be read; never in anything
   * else.
   */
  it(`${RUNS} mutated files: an error by name, or a recording`, async () => {
    const wavBytes = new wavefile.WaveFile()
    wavBytes.fromScratch(2, 24_000, '16', [
      Array.from({ length: 600 }, (_, k) => k),
      Array.from({ length: 600 }, (_, k) => -k),
    ])
    const all = samples.map(
      ([name, bytes, data]) => [name, name === 'a.wav' ? wavBytes.toBuffer() : bytes, data] as const,
    )
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: all.length - 1 }),
        fc.array(fc.tuple(fc.nat(), fc.nat({ max: 255 })), { maxLength: 12 }),
        fc.option(fc.nat()),
        async (which, changes, cut) => {
          const [name, original, data] = all[which]!
          const bytes = original.slice(0, cut === null ? original.length : cut % (original.length + 1))
          for (const [at, value] of changes) if (bytes.length > 0) bytes[at % bytes.length] = value
          const source: ByteSource = bytesSource(name, bytes)
          try {
            const r = await openRecording(source, async () => data && bytesSource('a.sigmf-data', data))
            expect(Number.isInteger(r.sampleCount) && r.sampleCount > 0 && r.sampleRateHz > 0).toBe(true)
            await r.read(0, Math.min(r.sampleCount, 64))
          } catch (error) {
            if (!(error instanceof CoreError)) throw error
            expect(error.message).not.toMatch(/\n|undefined|\[object/)
          }
        },
      ),
      { numRuns: RUNS },
    )
  }, 600_000)
})
