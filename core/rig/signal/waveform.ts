import { softLimit } from '../../circuit'
import type { AmEmission, Emission, FmEmission, SsbEmission } from './emission'

/**
 * Writes real and imaginary part of the envelope [sqrt W] at a time [s], offset from the channel left out.
 */
export type Waveform = (timeS: number, out: { re: number; im: number }) => void

const TWO_PI = 2 * Math.PI

/** The envelope of an emission as a function of time, its carrier at 0 Hz. */
export function waveform(emission: Emission): Waveform {
  switch (emission.kind) {
    case 'none':
      return (_t, out) => {
        out.re = 0
        out.im = 0
      }
    case 'am':
      return amWave(emission)
    case 'fm':
      return fmWave(emission)
    case 'ssb':
      return ssbWave(emission)
  }
}

/** An ordinary modulator cannot go below nothing, nor above its rail. */
function amWave({ carrierV, crestV, tones }: AmEmission): Waveform {
  return (t, out) => {
    let m = 1
    for (const { hz, level } of tones) m += level * Math.sin(TWO_PI * hz * t)
    out.re = Math.min(crestV, Math.max(0, carrierV * m))
    out.im = 0
  }
}

function fmWave({ carrierV, tones }: FmEmission): Waveform {
  return (t, out) => {
    let phase = 0
    for (const { hz, level } of tones) phase -= (level / hz) * Math.cos(TWO_PI * hz * t)
    out.re = carrierV * Math.cos(phase)
    out.im = carrierV * Math.sin(phase)
  }
}

/** Tones and leak added, then the amplitude bent by the output stage; its phase stays. */
function ssbWave({ side, tones, leak, saturationV, threshold, sharpness }: SsbEmission): Waveform {
  return (t, out) => {
    let re = leak
    let im = 0
    for (const { hz, level } of tones) {
      const angle = TWO_PI * side * hz * t
      re += level * Math.cos(angle)
      im += level * Math.sin(angle)
    }
    const size = Math.hypot(re, im)
    const gain = size > 0 ? (saturationV * softLimit(size - threshold, sharpness)) / size : 0
    out.re = re * gain
    out.im = im * gain
  }
}
