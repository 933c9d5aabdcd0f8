import { afterEach, describe, expect, it } from 'vitest'
import { BARE_SETUP } from '#core/instrument'
import { QUANTITY_NAMES, standardToBound } from '#core/quantity'
import { readLanguageFrom } from '#shared/i18n'
import {
  onScale,
  scaleOf,
  typedAccuracy,
  typedInstruments,
  typedReading,
  type TypedInstrument,
} from './typedInstrument'

const eye = (profileId: string, change: Partial<TypedInstrument['setup']> = {}): TypedInstrument => ({
  name: profileId,
  profileId,
  words: '',
  isHere: true,
  setup: { ...BARE_SETUP, ...change },
})
const bound = (r: { standardUncertainty: number | null }) =>
  r.standardUncertainty === null ? null : standardToBound(r.standardUncertainty)

describe('a meter read by eye', () => {
  it('is as good as the scale it was read on, and the reading keeps that scale', () => {
    // Worked: 5 % of 60 W are 3 W, of 5 W 0.25 W.
    expect(bound(typedReading(3.5, 'powerW', onScale(eye('eye-power-20'), 60)))).toBeCloseTo(3, 9)
    expect(typedReading(3.36, 'powerW', onScale(eye('eye-power-20'), 5))).toMatchObject({
      value: 3.36,
      fullScale: 5,
    })
    expect(bound(typedReading(3.36, 'powerW', onScale(eye('eye-power-20'), 5)))).toBeCloseTo(0.25, 9)
    expect([
      scaleOf('powerW', eye('eye-power-20')),
      scaleOf('powerW', onScale(eye('eye-power-20'), 60)),
      scaleOf('powerW', eye('eye-test-set')),
      scaleOf('supplyA', eye('eye-multimeter')),
    ]).toEqual([20, 60, null, null])
  })
  it('behind an attenuator the scale is the one written on it, the reading the one at the set', () => {
    const behind = onScale(eye('eye-power-20', { attenuationDb: 20 }), 5)
    expect(scaleOf('powerW', behind)).toBeCloseTo(5, 9)
    expect(typedReading(1, 'powerW', behind)).toMatchObject({
      value: expect.closeTo(100, 9),
      fullScale: expect.closeTo(500, 9),
    })
  })
  it('of a class that nobody knows stands without an uncertainty', () => {
    const unknown = eye('eye-power-20', { classUnknown: true })
    expect(typedReading(3.5, 'powerW', unknown)).toEqual({ value: 3.5, standardUncertainty: null })
    expect(typedAccuracy('powerW', unknown)).toBeNull()
    expect(bound(typedReading(3.5, 'powerW', eye('eye-power-20', { classRatio: 0.1 })))).toBeCloseTo(2, 9)
  })
})

describe('the meter on the panel of a set', () => {
  it('is read to half a division of its own scale', () => {
    expect(bound(typedReading(0.05, 'stageIdleA', { ...eye('eye-panel'), tick: 0.025 }))).toBeCloseTo(
      0.0125,
      9,
    )
    expect(bound(typedReading(0.05, 'stageIdleA', eye('eye-panel')))).toBeCloseTo(0.01, 9)
    // A multimeter in the supply has no divisions: the panel's say nothing of it.
    expect(bound(typedReading(0.5, 'supplyA', { ...eye('eye-multimeter'), tick: 0.025 }))).toBeCloseTo(
      0.02,
      9,
    )
  })
})

describe('what a typed reading is credited to', () => {
  afterEach(() => readLanguageFrom(() => 'en'))
  it('is kept alike whichever language the page speaks: before and after are compared by it', () => {
    const names = () => QUANTITY_NAMES.map(q => typedInstruments([], q).map(i => i.name))
    const english = names()
    readLanguageFrom(() => 'es')
    expect(names()).toEqual(english)
  })
})
