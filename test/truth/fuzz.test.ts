import { describe, expect, it } from 'vitest'
import { CoreError } from '../../core/errors'
import type { Recording } from '../../core/recording'
import { emissionMask, ruleSet } from '../../core/rules'
import { DEFAULT_OPTIONS, judgeSignal, measureRecording, type MeasureOptions } from '../../core/signal'
import { randomFrom, type Random } from '../fixtures/faults/random'

/**
 * Recordings of anything: whatever the samples are, figures are numbers, uncertainties are not negative, and
 * nothing but a word of the closed set is thrown. FUZZ sets how many.
 */
const COUNT = Number(process.env.FUZZ ?? 600)

type Wave = (n: number) => number
const waves: readonly ((random: Random, rateHz: number) => Wave)[] = [
  () => () => 0,
  random => () => random.within(-1, 1),
  (random, rateHz) => tone(random.within(-0.6, 0.6) * rateHz, rateHz, random.within(1e-6, 1.2)),
  random => constant(random.within(-1.5, 1.5)),
  random => {
    const every = Math.ceil(random.within(1, 400))
    return n => (n % every === 0 ? 1 : 0)
  },
  (random, rateHz) => {
    const carrier = tone(random.within(-0.4, 0.4) * rateHz, rateHz, 0.4)
    const audio = tone(random.within(20, 5000), rateHz, random.within(0, 2))
    return n => carrier(n) * (1 + audio(n))
  },
  (random, rateHz) => {
    const keyed = tone(random.within(0, 0.3) * rateHz, rateHz, 0.5)
    const at = random.within(0, 2000)
    return n => (n > at ? keyed(n) : 0)
  },
  () => n => (n % 2 === 0 ? 1 : -1),
]

function tone(hz: number, rateHz: number, size: number): Wave {
  return n => size * Math.cos((2 * Math.PI * hz * n) / rateHz)
}
const constant =
  (v: number): Wave =>
  () =>
    v

function drawRecording(random: Random): Recording {
  const rateHz = random.pick([8000, 22_050, 48_000, 96_000, 250_000, 1_000_000])
  const count = Math.ceil(256 * 40 ** random.next())
  const parts = Array.from({ length: Math.ceil(random.within(0.1, 3)) }, () =>
    random.pick(waves)(random, rateHz),
  )
  const others = Array.from({ length: parts.length }, () => random.pick(waves)(random, rateHz))
  const steps = random.pick([null, 128, 32_768])
  const kept = (v: number) =>
    steps === null ? v : Math.max(-1, Math.min(1 - 1 / steps, Math.round(v * steps) / steps))
  const samples = (list: readonly Wave[]) =>
    Float32Array.from({ length: count }, (_, n) => kept(list.reduce((sum, w) => sum + w(n), 0)))
  const kind = random.pick(['iq', 'iq', 'real', 'audio'] as const)
  const [i, q] = [samples(parts), kind === 'iq' ? samples(others) : new Float32Array(0)]
  const centreHz = random.pick([null, 0, 27_185_000])
  return {
    file: 'drawn',
    format: 'sigmf',
    kind,
    datatype: 'cf32_le',
    sampleRateHz: rateHz,
    sampleCount: count,
    centreHz,
    steps,
    annotations: [],
    notes: [],
    read: async (from, length) => ({
      i: i.subarray(from, from + length),
      q: q.subarray(from, from + length),
    }),
  }
}

function drawOptions(random: Random, centreHz: number | null): MeasureOptions {
  const sometimes = (v: number) => (random.chance(0.3) ? v : null)
  return {
    ...DEFAULT_OPTIONS,
    as: random.pick(['auto', 'am', 'fm', 'ssb', 'audio']),
    nominalHz: sometimes((centreHz ?? 0) + random.within(-20_000, 20_000)),
    toneHz: sometimes(random.within(10, 5000)),
    spacingHz: random.pick([5000, 10_000, 25_000]),
    channelWidthHz: sometimes(random.within(100, 40_000)),
    unmodulatedDbfs: sometimes(random.within(-60, 3)),
    carrierW: sometimes(random.within(0.1, 1000)),
    referencePpm: sometimes(random.within(0.01, 50)),
    mask: { ruleSetId: 'R-US', parts: (mode, powerW) => emissionMask(ruleSet('R-US').mask, mode, powerW) },
  }
}

/** Paths of numbers that are none, and of uncertainties below zero. */
function faults(value: unknown, path: string): string[] {
  if (typeof value === 'number')
    return Number.isNaN(value) || (path.includes('.uncertainty') && value < 0) ? [`${path} = ${value}`] : []
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([name, part]) => faults(part, `${path}.${name}`))
}

async function oneRun(seed: number): Promise<string[]> {
  const random = randomFrom(seed)
  const recording = drawRecording(random)
  try {
    const { measurement } = await measureRecording(recording, drawOptions(random, recording.centreHz))
    judgeSignal(measurement, ruleSet('R-US'), null)
    return faults(measurement, `seed ${seed}`)
  } catch (error) {
    return error instanceof CoreError
      ? []
      : [
          `seed ${seed}: ${error instanceof Error ? error.stack?.split('\n').slice(0, 3).join(' ') : String(error)}`,
        ]
  }
}

describe('recordings of anything', () => {
  it(`${COUNT} of them give numbers, or a refusal in words`, async () => {
    const wrong: string[] = []
    for (let seed = 1; seed <= COUNT && wrong.length < 20; seed++) wrong.push(...(await oneRun(seed)))
    expect(wrong).toEqual([])
  }, 3_600_000)
})
