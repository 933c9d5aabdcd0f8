import { describe, expect, it } from 'vitest'
import { shown, trialNoted } from '../../test/fixtures/trials'
import type { TrialNoted } from '../run'
import { gains, perDevice } from './amplifier'

const DUO = { name: 'Duo', devices: 2, claimedW: 150 }
const driven = (drivePowerW: number, powerW: number, amplifier = DUO) =>
  trialNoted('carrier', { drivePowerW, powerW }, amplifier)

describe('the gain of an amplifier', () => {
  const of = (...noted: readonly TrialNoted[]) => {
    const { last, all } = shown(...noted)
    return gains(last, all.slice(0, -1))
  }
  it('is output over drive, and the same at another drive while nothing compresses', () => {
    const [gain] = of(driven(1.4, 28), driven(1.2, 24))
    expect(gain!.db).toBeCloseTo(13.01, 2)
    expect(gain!.first!.changeDb).toBeCloseTo(0, 9)
    expect(gain!.first!.boundDb).toBeGreaterThan(0)
    expect(gain!.first!.isOtherDrive).toBe(true)
    expect(of(driven(1.2, 24), driven(1.25, 25))[0]!.first!.isOtherDrive).toBe(false)
  })
  it('is not held against another amplifier, nor told without one or at the stop of a needle', () => {
    expect(of(driven(1.4, 28), driven(1.2, 24, { ...DUO, name: 'Other' }))).toMatchObject([{ first: null }])
    expect(of(trialNoted('carrier', { drivePowerW: 1.2, powerW: 24 }))).toEqual([])
    const atStop = { drivePowerW: 1.4, powerW: { value: 20, end: 'at-least' } } as const
    expect(of(trialNoted('carrier', atStop, DUO))).toEqual([])
  })
})

describe('PEP of each device', () => {
  const tone = (
    pepW: number,
    amplifier: typeof DUO | { name: string; devices: null; claimedW: null } = DUO,
  ) => perDevice(shown(driven(1.2, 24), trialNoted('tone', { depthPositiveRatio: 1, pepW }, amplifier)).last)
  it('is its share of a PEP that carrier and depth ask for', () => {
    expect(tone(98)).toMatchObject([{ eachW: 49, claimedW: 150 }])
  })
  it('is not told where the scope shows a flattened peak, though the meter would fit', () => {
    const noted = trialNoted('tone', { depthPositiveRatio: 1.35, pepW: 132, envelopePeakRatio: 2.02 }, DUO)
    expect(perDevice(shown(driven(1.2, 24), noted).last)).toEqual([])
  })
  it('is not told of a meter that shows more or less than that, nor without their number', () => {
    expect([...tone(118), ...tone(60), ...tone(98, { name: 'Duo', devices: null, claimedW: null })]).toEqual(
      [],
    )
  })
})
