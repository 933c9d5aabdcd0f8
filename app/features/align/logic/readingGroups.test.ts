import { describe, expect, it } from 'vitest'
import { rowTaken } from '../../../../test/fixtures/jobEvents'
import { ruleSet } from '#core/rules'
import { matrixState, runState, type JobEvent } from '#core/run'
import { OSMUND_27F } from '#core/sheet/osmund27f/sheet'
import { judgedReadings, readingGroups } from './readingGroups'

const RULES = ruleSet('R-UK27')
const plain = (s: string) => s.replace(/[\u2009\u202f]/g, ' ').replace(/\u2212/g, '-')
const groups = (events: readonly JobEvent[]) =>
  readingGroups(
    judgedReadings(
      matrixState(OSMUND_27F, RULES, runState(OSMUND_27F, RULES, events).history, 'as-found'),
    ).filter(j => j.verdict !== 'inside'),
  )
const at = (channel: number, powerW: number, carrierHz = 27_591_250 + 10_000 * channel) =>
  rowTaken('as-found', null, `high-${channel}`, { powerW, carrierHz }, { channel })

describe('readings that are not inside', () => {
  it('stand alone while they are few', () => {
    const [one, two] = groups([at(1, 2), at(20, 2.1)])
    expect([one, two].map(g => g!.rows.length)).toEqual([1, 1])
    expect(plain(`${one!.name} ${one!.shown}`)).toMatch(/Channel 1, high power.* 2\.\d+ W/)
  })
  it('are told as one when three fail alike, from the least to the most', () => {
    const [all, ...others] = groups([at(1, 2.1), at(20, 2), at(40, 2.35)])
    expect(others).toEqual([])
    expect(plain(`${all!.name} ${all!.shown}`)).toBe('FM, 3 rows: power, average 2.00 to 2.35 W')
    expect(all).toMatchObject({
      verdict: 'below',
      rows: ['Channel 1, high power', 'Channel 20, high power', 'Channel 40, high power'],
    })
  })
  it('are not mixed: another reason is another line', () => {
    expect(
      groups([at(1, 2.1), at(20, 2), at(40, 9)])
        .map(g => g.verdict)
        .sort(),
    ).toEqual(['above', 'below', 'below'])
  })
  it('of a frequency are errors, with their sign', () => {
    const [all] = groups([1, 20, 40].map(c => at(c, 3.8, 27_591_250 + 10_000 * c - 90)))
    expect(plain(`${all!.name} ${all!.shown}`)).toBe('FM, 3 rows: frequency error -90 Hz')
  })
})
