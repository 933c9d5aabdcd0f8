import { expect, it } from 'vitest'
import { DEFAULT_OPTIONS, measureRecording } from '../../core/signal'
import { bandpass, quantised, recording } from './sent'
import { shapedNoise } from './sources'

const RATE_HZ = 48_000
const SECONDS = 0.5
const EACH = 100
/** Chance of a signal where there is none: stated in docs/formats. */
const MAX_FALSE = 5

const sinc = (x: number) => (x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x))

/** How receivers shape their noise. */
const SHAPES: Readonly<Record<string, (hz: number) => number>> = {
  'white': () => 1,
  'a receiver 12 kHz wide': bandpass(-6000, 6000),
  'a receiver 3 kHz wide on one side': bandpass(300, 3300),
  'a receiver 6 kHz wide beside the middle': bandpass(6000, 12_000),
  'droop of a decimating filter': hz => sinc(hz / RATE_HZ) ** 4,
  'falling with frequency': hz => 1 / Math.sqrt(1 + Math.abs(hz) / 400),
  'rising with frequency': hz => Math.sqrt(0.1 + Math.abs(hz) / 24_000),
  'a notch': hz => (Math.abs(hz - 2000) < 500 ? 0.03 : 1),
  'two humps': hz => bandpass(-9000, -5000)(hz) + bandpass(3000, 8000)(hz),
  'a hump 500 Hz wide': bandpass(800, 1300),
}

it('of a thousand recordings of noise in ten shapes, five at most are taken for a signal', async () => {
  const wrong: string[] = []
  for (const [name, shape] of Object.entries(SHAPES)) {
    for (let seed = 1; seed <= EACH; seed++) {
      const { re, im } = shapedNoise(RATE_HZ, RATE_HZ * SECONDS, 7000 + seed, shape)
      const size = seed % 3 ? 0.02 : 0.2
      const made = { i: re.map(x => size * x), q: im.map(x => size * x), rateHz: RATE_HZ }
      const { measurement } = await measureRecording(
        seed % 5 ? recording(made) : quantised(made, 127.5),
        DEFAULT_OPTIONS,
      )
      if (measurement.signalPresent) wrong.push(`${name} ${seed}`)
    }
  }
  expect(wrong.length, wrong.join(', ')).toBeLessThanOrEqual(MAX_FALSE)
})
