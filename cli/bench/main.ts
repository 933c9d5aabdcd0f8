import { performance } from 'node:perf_hooks'
import { openRecording, type Recording } from '#core/recording'
import { DEFAULT_OPTIONS, SILENT, measureRecording } from '#core/signal'
import { planChannel } from '#core/signal/channel/channelPlan'
import { NO_CORRECTION } from '#core/signal/channel/correction'
import { loadFastTransforms } from '#core/signal/spectrum/fastFft'
import { locate } from '#core/signal/locate'
import { onPeak } from '#core/signal/keyed'
import { measureAm } from '#core/signal/measureAm'
import { channelPass, scan } from '#core/signal/passes'
import { spectrumOf } from '#core/signal/spectrumOf'
import { fileSource } from '../measure/fileSource'
import { basename, dirname, join } from 'node:path'

/**
 * Times of each part and of the whole, best of some rounds, and the memory it took: JSON for the bench
 * script.
 */
const ROUNDS = 5

async function open(file: string) {
  return openRecording(fileSource(file), async name => fileSource(join(dirname(file), basename(name))))
}

async function once(file: string) {
  const recording = await open(file)
  const count = recording.sampleCount
  const at = [performance.now()]
  const lap = () => at.push(performance.now())
  const { spectrum } = await scan(recording, count, SILENT)
  lap()
  const found = locate(spectrum, null, false)
  const plan = planChannel(recording.sampleRateHz, found.peakHz, 64_000)
  const { channel } = await channelPass(recording, count, plan, NO_CORRECTION, SILENT)
  lap()
  const noiseBandHz = 2.78 * plan.passHz
  const input = {
    channel,
    passHz: plan.passHz,
    noisePower: (found.floor / spectrum.binHz) * noiseBandHz,
    noiseBandHz,
    edgeRatio: 0,
    centreHz: -found.peakHz,
    toneHz: null,
    givenDbfs: null,
  }
  const am = measureAm(input, onPeak(input))
  lap()
  spectrumOf(
    { recording, options: DEFAULT_OPTIONS, spectrum, found, beside: [] },
    'AM',
    found.peakHz + am.carrier.hz,
    am.power,
    false,
  )
  lap()
  return at.slice(1).map((t, k) => t - at[k]!)
}

/** A recording that is made while it is read: as long as one likes, without a file. */
function endless(sampleRateHz: number, seconds: number): Recording {
  return {
    file: 'made',
    format: 'sigmf',
    kind: 'iq',
    datatype: 'cf32_le',
    sampleRateHz,
    sampleCount: sampleRateHz * seconds,
    centreHz: 27_000_000,
    steps: null,
    annotations: [],
    notes: [],
    read: async (from, count) => {
      const [i, q] = [new Float32Array(count), new Float32Array(count)]
      for (let n = 0; n < count; n++) {
        const t = (from + n) / sampleRateHz
        const size = 0.3 * (1 + 0.8 * Math.sin(2 * Math.PI * 1000 * t))
        i[n] = size * Math.cos(2 * Math.PI * 185_000 * t)
        q[n] = size * Math.sin(2 * Math.PI * 185_000 * t)
      }
      return { i, q }
    },
  }
}

/** Longest recording that is promised: how much memory, how long. */
async function bound(seconds: number) {
  const started = performance.now()
  const { measurement } = await measureRecording(endless(2_000_000, seconds), {
    ...DEFAULT_OPTIONS,
    as: 'am',
  })
  process.stdout.write(
    JSON.stringify({
      seconds,
      wholeMs: performance.now() - started,
      peakMb: process.resourceUsage().maxRSS / 1024,
      depth: measurement.am!.depthNegative,
    }),
  )
}

async function main() {
  await loadFastTransforms()
  if (process.argv[2] === 'bound') return bound(Number(process.argv[3]))
  const [file, mode] = process.argv.slice(2) as [string, string]
  const recording = await open(file)
  const best = (list: number[][]) => list.reduce((a, b) => a.map((x, k) => Math.min(x, b[k]!)))
  const parts =
    mode === 'whole'
      ? []
      : best(
          await Promise.all([await once(file)]).then(async first => {
            const all = [...first]
            for (let k = 1; k < ROUNDS; k++) all.push(await once(file))
            return all
          }),
        )
  const whole: number[][] = []
  for (let k = 0; k < (mode === 'whole' ? 1 : ROUNDS); k++) {
    const started = performance.now()
    await measureRecording(recording, { ...DEFAULT_OPTIONS, as: 'am' })
    whole.push([performance.now() - started])
  }
  process.stdout.write(
    JSON.stringify({
      parts,
      wholeMs: best(whole)[0],
      seconds: recording.sampleCount / recording.sampleRateHz,
      peakMb: process.resourceUsage().maxRSS / 1024,
    }),
  )
}

void main()
