import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { QUANTITY_NAMES, errorBound } from '../quantity'
import { INSTRUMENT_PROFILES, instrumentProfile, profileQuantity, profilesAsGoodAs } from './index'
import { scpiNumber } from './scpiAnswer'

describe('SCPI answers', () => {
  // Number formats: IEEE 488.2 NR1, NR2, NR3 (from memory). 9.91E37 and 9.9E37: SCPI-99 (from memory).
  it.each([
    ['27791250', 27_791_250],
    ['+2.779125E+07', 27_791_250],
    ['3.9', 3.9],
    ['-.5', -0.5],
    ['3.', 3],
    [' 4.0\r', 4],
    ['1e-3', 0.001],
  ])('"%s" is %d', (line, value) => {
    expect(scpiNumber(line)).toEqual({ status: 'ok', value })
  })
  it.each([
    ['+9.91E+37', 'no-signal'],
    ['9.91E37', 'no-signal'],
    ['9.9E37', 'overload'],
    ['-9.9E+37', 'overload'],
  ])('"%s" is %s', (line, status) => {
    expect(scpiNumber(line)).toEqual({ status, value: null })
  })
  it.each(['', 'garbage', '3.9 W', '3,9', '1;2', 'NaN', 'inf', '1e400', '0x10', '\u0000\u0001', '3.9\n4.0'])(
    '"%s" is refused',
    line => {
      expect(() => scpiNumber(line)).toThrow(expect.objectContaining({ code: 'malformed-answer' }))
    },
  )
  it('never takes nonsense for a number', () => {
    fc.assert(
      fc.property(fc.string(), line => {
        try {
          const { value } = scpiNumber(line)
          expect(value === null || Number.isFinite(value)).toBe(true)
        } catch (error) {
          expect(error).toMatchObject({ code: 'malformed-answer' })
        }
      }),
    )
  })
})

describe.each(INSTRUMENT_PROFILES.map(p => [p.id, p] as const))('profile %s', (_id, profile) => {
  it('can state the bound of everything it reads, and talks or not as it says', () => {
    for (const q of profile.quantities) {
      expect(QUANTITY_NAMES).toContain(q.quantity)
      // A menu value is exact; everything else errs.
      if (q.quantity !== 'menuCode') expect(errorBound(1, q.accuracy)).toBeGreaterThan(0)
      expect(q.query !== null).toBe(profile.talks)
    }
    expect(profile.source).not.toBe('')
  })
})

describe('profiles', () => {
  it('are looked up by id', () => {
    expect(profileQuantity(instrumentProfile('scpi-counter'), 'carrierHz')?.accuracy).toEqual({
      ofReading: 1e-7,
    })
    expect(profileQuantity(instrumentProfile('scpi-counter'), 'powerW')).toBeUndefined()
    expect(() => instrumentProfile('crystal-ball')).toThrow(
      expect.objectContaining({ code: 'unknown-profile' }),
    )
  })
  it('that would do are named: those of reading that are better', () => {
    expect(profilesAsGoodAs('powerW', 0.11).map(p => p.id)).toEqual([
      'scpi-power-meter',
      'scpi-test-set',
      'eye-test-set',
    ])
    expect(profilesAsGoodAs('powerW', 0.02)).toEqual([])
  })
})
