import { describe, expect, it } from 'vitest'
import type { SettledClaim } from '#core/claims'
import { claimWords, factorWords, settledWords } from './claimWords'

const plain = (s: string | null) =>
  s
    ?.replace(/\u2009/g, ' ')
    .replace(/\u2212/g, '-')
    .replace(/\u2019/g, "'") ?? null
const settled = (change: Partial<SettledClaim>): SettledClaim => ({
  claim: { id: '1', quantity: 'powerW', kind: 'about', value: 3.1, meter: 'cross-needle meter' },
  outcome: 'confirmed',
  measured: { value: 4.4, bound: 0.132, side: null, rowTitle: 'Channel 20' },
  allowed: { low: 2.325, high: 3.875 },
  meterFactor: { ratio: 1.419, differenceDb: 1.52, meterSuspect: true },
  ...change,
})

describe('words for claims', () => {
  it('repeat the claim in the unit in which it was made', () => {
    expect(plain(claimWords(settled({}).claim))).toBe(
      "about 3.1 W (power, high), on the owner's cross-needle meter",
    )
    expect(
      plain(claimWords({ id: '1', quantity: 'frequencyErrorHz', kind: 'about', value: -100, meter: '' })),
    ).toBe('about -100 Hz (off frequency)')
    expect(
      plain(claimWords({ id: '1', quantity: 'deviationHz', kind: 'over', value: 2500, meter: '' })),
    ).toBe('over 2.5 kHz (deviation)')
    expect(
      plain(claimWords({ id: '1', quantity: 'sensitivityV', kind: 'over', value: 4e-6, meter: '' })),
    ).toBe('over 4 \u00b5V (sensitivity)')
  })
  it('show the arithmetic', () => {
    expect(plain(settledWords(settled({})))).toBe(
      'Channel 20 read 4.4 W \u00b10.1 W; "about" taken as 2.33 W to 3.88 W',
    )
    expect(
      settledWords(settled({ measured: { value: 4, bound: null, side: null, rowTitle: 'x' } })),
    ).toContain('uncertainty unknown')
    expect(settledWords(settled({ measured: null }))).toContain('not measured yet')
  })
  it("give the factor of the owner's meter, and blame it only when it is far off", () => {
    expect(plain(factorWords(settled({})))).toBe(
      "The owner's meter times 1.42 (+1.5 dB) agrees with our reading, " +
        "near this level only. The difference is probably in the owner's meter.",
    )
    expect(
      factorWords(settled({ meterFactor: { ratio: 1.05, differenceDb: 0.2, meterSuspect: false } })),
    ).not.toContain('probably')
    expect(factorWords(settled({ meterFactor: null }))).toBeNull()
  })
})
