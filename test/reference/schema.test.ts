import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import Ajv from 'ajv'
import { describe, expect, it } from 'vitest'
import { DEFAULT_OPTIONS, measureRecording, type Measurement } from '../../core/signal'
import { wordedNotes } from '../../shared/words/messageWords'
import { amSignal, audioRecording, fmSignal, lineSignal, recordingOf, withNoise } from '../fixtures/signals'

/** Notes as documented: a code, and its words. */
const worded = (m: Measurement) => ({
  ...m,
  notes: wordedNotes(m.notes).map(({ code, words }) => ({ code, words })),
})
const schema = JSON.parse(
  readFileSync(join(import.meta.dirname, '..', '..', 'docs', 'formats', 'measurement.schema.json'), 'utf8'),
) as { required: string[] }
const validate = new Ajv({ allErrors: true, allowUnionTypes: true }).compile(schema)
const recordings = {
  'am': recordingOf(withNoise(amSignal({ depth: 1.3, bareS: 0.3 }), 40)),
  'reversed': recordingOf(amSignal({ depth: 1.3, reverses: true })),
  'fm': recordingOf(fmSignal(2000, 1000)),
  'ssb': recordingOf(
    lineSignal([
      [3700, 0.2],
      [4900, 0.2],
    ]),
  ),
  'noise': recordingOf(withNoise(lineSignal([]), 0, 0.01)),
  'audio': audioRecording(
    Float64Array.from({ length: 48_000 }, (_, n) => 0.3 * Math.sin(n / 7)),
    48_000,
  ),
  'short': recordingOf(amSignal({ depth: 0.5, seconds: 0.02 })),
  'voice': recordingOf(withNoise(amSignal({ depth: 0.5, toneHz: 37 }), 40)),
  'a voice in FM': recordingOf(fmSignal(900, 21)),
  'no centre': recordingOf(amSignal({ depth: 0.5 }), { centreHz: null }),
}

describe('the schema of a measurement', () => {
  it.each(Object.entries(recordings))('holds for %s', async (_name, recording) => {
    const { measurement } = await measureRecording(recording, DEFAULT_OPTIONS)
    const plain = JSON.parse(JSON.stringify(worded(measurement))) as Record<string, unknown>
    validate(plain)
    expect(validate.errors).toBeNull()
    expect(Object.keys(plain).sort()).toEqual([...schema.required].sort())
  })
  it('refuses what is none', () => {
    expect(validate({ file: 'x' })).toBe(false)
  })
})
