import { describe, expect, it } from 'vitest'
import { distanceWords } from './distanceWords'

const plain = (s: string) => s.replace(/[\u2009\u202f]/g, ' ').replace(/\u2212/g, '-')

describe('how far beyond', () => {
  // Worked by hand: 10 log 4.62/4 = 0.626; 312 / 27.185 = 11.48; 20 log 3.2 = 10.1.
  it.each([
    [4.62, 4, 'powerW', null, '0.62 W, 0.63 dB'],
    [9.4, 4, 'powerW', null, '5.4 W, 3.7 dB'],
    [0, 3.6, 'powerW', null, '3.6 W'],
    [27_184_688, 27_185_000, 'carrierHz', 27_185_000, '312 Hz, 11 ppm'],
    [10_239_780, 10_239_980, 'referenceHz', 10_240_000, '200 Hz, 20 ppm'],
    [3.2e-6, 1e-6, 'audibleV', null, '2.2 \u00b5V, 10 dB'],
    [0.97, 0.95, 'depthNegativeRatio', null, '2.0 points'],
    [-22, -53, 'adjacentDbc', null, '31 dB'],
  ] as const)('%d against %d, %s', (value, beyond, quantity, nominalHz, words) =>
    expect(plain(distanceWords(value, beyond, quantity, nominalHz))).toBe(words),
  )
})
