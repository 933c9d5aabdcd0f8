import { describe, expect, it } from 'vitest'
import { matrixRow } from '../../test/fixtures/jobEvents'
import { ruleSet } from '../rules'
import { runState, type JobEvent } from '../run'
import { modelSheet, type ModelSheet } from '../sheet'
import { carrierAdvice } from './index'

const LX8 = modelSheet('larkfield-lx8')
const HB = modelSheet('quillon-hb150')
const TALLIS = modelSheet('brantwick-tallis60')
const run = (sheet: ModelSheet, events: readonly JobEvent[]) =>
  runState(sheet, ruleSet(sheet.defaultRuleSetId), events)

describe('how high to leave the AM carrier', () => {
  const advice = (sheet: ModelSheet, ...events: JobEvent[]) =>
    carrierAdvice(sheet, ruleSet(sheet.defaultRuleSetId), run(sheet, events))
  it('of the valve set from its AM row, never from the CW one', () => {
    const events = [
      matrixRow(HB, 'as-left', 'band-3', { plateA: 0.25, powerW: 120 }),
      matrixRow(HB, 'as-left', 'am-carrier', { powerW: 28, plateA: 0.15 }),
    ]
    expect(advice(HB, ...events)).toMatchObject({
      maxW: 28,
      by: 'as-is',
      setting: 'carrier at the AM mark',
    })
    expect(advice(HB, events[0]!)).toBeNull()
  })
  it('of the high-power set at its mark, never at its minimum', () => {
    const events = [
      matrixRow(TALLIS, 'as-left', 'minimum', { carrierHz: 27_185_000, powerW: 18, supplyA: 8 }),
      matrixRow(TALLIS, 'as-left', 'mark', { powerW: 80, supplyV: 14, supplyA: 22 }),
    ]
    expect(advice(TALLIS, ...events)).toMatchObject({ maxW: 80, by: 'as-is' })
    expect(advice(TALLIS, events[0]!)).toBeNull()
  })
  it('is the limit where the carrier was left above it', () => {
    expect(
      advice(
        LX8,
        matrixRow(LX8, 'as-left', 'am-D19', {
          carrierHz: 27_185_000,
          powerW: 10.5,
          supplyV: 13.8,
          supplyA: 2,
        }),
      ),
    ).toMatchObject({ maxW: 4, by: 'rule', asLeftW: 10.5 })
  })
  it('is a quarter of the PEP where the crest is flattened, not where the depth explains the PEP', () => {
    const at = (pepW: number, carrierW = 3.9) =>
      advice(
        LX8,
        matrixRow(LX8, 'as-left', 'am-D19', {
          carrierHz: 27_185_000,
          powerW: carrierW,
          supplyV: 13.8,
          supplyA: 1.7,
        }),
        matrixRow(LX8, 'as-left', 'am-tone', {
          depthPositiveRatio: 0.9,
          depthNegativeRatio: 0.9,
          pepW,
          powerW: 5.5,
        }),
      )
    expect(at(14.1)).toMatchObject({ maxW: 3.9, by: 'as-is', headroom: null })
    expect(at(11)).toMatchObject({ maxW: 2.75, by: 'quarter-of-pep' })
    // By hand: 8 W needs 32 W; 18 W are (1 + 0.5)^2 times 8 W.
    expect(at(18, 8)!.headroom).toEqual({ neededW: 32, reachedW: 18, mostDepthRatio: 0.5 })
    // 12.8 W where 13.1 W would be whole: flattened by the readings, not beyond what the meters are off by.
    expect(at(12.8)).toMatchObject({ by: 'quarter-of-pep', headroom: null })
    // Less PEP than carrier is no ceiling but a wrong reading.
    expect(at(7, 8)!.headroom).toBeNull()
  })
  it('is not given from what was found', () =>
    expect(advice(LX8, matrixRow(LX8, 'as-found', 'am-D19', { powerW: 3.9 }))).toBeNull())
})
