import type { Series } from '../series'
import { powerOfTwoTo } from '../spectrum/fft'
import { noiseFloor, spectrumOfSamples } from '../spectrum/powerSpectrum'
import { peakFrequency } from '../tone/lines'
import { CLOSE_HZ, MAX_SAMPLES, lineMeter, type Found } from './lineMeter'

/** The two strongest lines, to a small part of a hertz. */
export function strongestLines(series: Series): Found[] {
  const size = Math.min(powerOfTwoTo(series.re.length), 65_536)
  if (size < 256) return []
  const spectrum = spectrumOfSamples(series.re, series.im, series.rateHz, size)
  const n = Math.min(series.re.length, MAX_SAMPLES)
  const found: Found[] = []
  const power = Float64Array.from(spectrum.power)
  const floor = noiseFloor(spectrum)
  const { at } = lineMeter(series, 0)
  for (let k = 0; k < 2; k++) {
    let best = 0
    for (let b = 1; b < power.length; b++) if (power[b]! > power[best]!) best = b
    if (power[best]! < 20 * floor) break
    const hz = peakFrequency(
      series.re.subarray(0, n),
      series.im.subarray(0, n),
      series.rateHz,
      spectrum.fromHz + best * spectrum.binHz,
    )
    found.push({ hz, amplitude: at(hz) })
    const around = Math.max(5, Math.ceil(CLOSE_HZ / spectrum.binHz))
    power.fill(0, Math.max(0, best - around), best + around + 1)
  }
  return found
}
