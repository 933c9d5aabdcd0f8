import { describe, expect, it } from 'vitest'
import { stepRow } from '../../../test/fixtures/jobEvents'
import { ruleSet } from '../../rules'
import { modelSheet } from '../../sheet'
import { runState, type JobEvent } from '../index'
import { leftSo } from './leftSo'

const FM = modelSheet('osmund-27f')
const stepOf = (events: JobEvent[], id: string) =>
  runState(FM, ruleSet('R-UK27'), events).steps.find(s => s.step.id === id)!
const reference = (errorHz: number) =>
  leftSo(FM, stepOf([stepRow('A1.3', 'pin', { referenceHz: 10_240_000 + errorHz })], 'A1.3'))

describe('a reference that is left off, its trimmer at its stop', () => {
  const found = reference(-65)!
  it('is so many ppm', () => {
    // -65 Hz of 10.240 MHz by hand: -6.348 ppm.
    expect(found.errorPpm).toBeCloseTo(-6.348, 3)
  })
  it('shifts what is sent by its channel steps, until its own trimmer takes that up', () => {
    // N x 10 kHz, N = 151 and 190: -9.6 and -12.1 Hz; 2.5 Hz between them stay whatever CT2 does.
    const tx = found.shifts.find(s => s.name === 'transmit frequency')!
    expect(tx.at.map(a => [a.channel, Number(a.shiftHz.toFixed(1))])).toEqual([
      [1, -9.6],
      [40, -12.1],
    ])
    expect(tx.adjusters).toEqual(['CT2'])
  })
  it('shifts the second intermediate frequency by itself and its steps', () => {
    // 10.240 MHz + N x 10 kHz: 11.750 and 12.140 MHz times 6.348 ppm.
    const second = found.shifts.find(s => s.name === 'second intermediate frequency')!
    expect(second.at.map(a => Number(a.shiftHz.toFixed(1)))).toEqual([74.6, 77.1])
    expect(second.adjusters).toEqual(['CT3'])
  })
})

describe('says nothing', () => {
  it('while the reading is within, or there is none', () => {
    expect(reference(5)).toBeNull()
    expect(leftSo(FM, stepOf([], 'A1.3'))).toBeNull()
  })
  it('of a frequency that several oscillators make: any of them may be off', () => {
    const tx = stepOf([stepRow('A1.5', 'ch20', { carrierHz: 27_791_410 })], 'A1.5')
    expect(tx.status).toBe('above')
    expect(leftSo(FM, tx)).toBeNull()
  })
  it('of a step that reads no frequency of the scheme, or of a sheet without one', () => {
    const power = stepOf([stepRow('A1.10', 'ch20', { powerW: 5 })], 'A1.10')
    expect(leftSo(FM, power)).toBeNull()
    expect(leftSo({ ...FM, scheme: undefined! }, stepOf([], 'A1.3'))).toBeNull()
  })
})
