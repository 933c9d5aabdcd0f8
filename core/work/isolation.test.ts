import { describe, expect, it } from 'vitest'
import type { JobEvent, PowerTried } from '../run'
import { modelSheet } from '../sheet'
import { isolation } from './isolation'
import { jobState } from './jobState'
import { ruleSet } from '../rules'
import { testsMade } from './testsMade'
import { warnings } from './warnings'

const SHEET = modelSheet('osmund-40a')
let count = 0
const tried = (seen: PowerTried['seen'], idleA: number | null, ...partsOut: string[]): PowerTried => ({
  kind: 'power-tried',
  id: `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}`,
  atMs: count,
  limitA: 1.2,
  idleA,
  seen,
  text: '',
  ...(partsOut.length > 0 ? { partsOut } : {}),
})
const said = (...events: JobEvent[]) =>
  isolation(SHEET, events).map(({ says }) => says && [says.kind, ...says.parts].join(' '))
const HEALTHY_A = SHEET.idleA.low

describe('isolation of a short', () => {
  it('is none while the set draws what it should', () =>
    expect(said(tried('normal', HEALTHY_A), tried('normal', HEALTHY_A))).toEqual([]))
  // Two finals on one rail: the short is in the second that is taken out.
  it('names the part without which the current fell, not the one that was out before', () => {
    expect(
      said(
        tried('limit', null),
        tried('limit', null, 'Q18'),
        tried('normal', HEALTHY_A, 'Q18', 'Q17'),
        tried('normal', HEALTHY_A, 'Q17'),
        tried('normal', HEALTHY_A),
      ),
    ).toEqual([null, 'still-without Q18', 'fell-without Q17', 'holds-with Q18', 'over'])
  })
  it('names two that were taken out at once together, and the one with which it came back', () => {
    expect(
      said(tried('rising', null), tried('normal', HEALTHY_A, 'Q17', 'Q18'), tried('limit', null, 'Q17')),
    ).toEqual([null, 'fell-without Q17 Q18', 'back-with Q18'])
  })
  it('says nothing of one taken out and another put back at once, nor where nothing was changed', () => {
    const swapped = [tried('limit', null, 'Q18'), tried('normal', HEALTHY_A, 'Q17')]
    expect(said(...swapped)).toEqual(['still-without Q18', null])
    expect(said(tried('limit', null), tried('limit', null))).toEqual([null, null])
  })
  it('takes a current above the sheet for a fault as well, and less with parts out for none', () => {
    const high = SHEET.idleA.high * 2
    expect(said(tried('normal', high, 'Q18'), tried('normal', 0.01, 'Q18', 'Q15'))).toEqual([
      'still-without Q18',
      'fell-without Q15',
    ])
  })
  it('is not over while the set draws less than it should', () =>
    expect(said(tried('limit', null), tried('normal', 0.01))).toEqual([null, null]))
  it('a try that was struck out never was', () => {
    const wrong = tried('normal', HEALTHY_A, 'Q18')
    const strike: JobEvent = { kind: 'event-struck', id: 'x', atMs: 9, eventId: wrong.id, reason: 'slip' }
    expect(said(tried('limit', null), wrong, strike)).toEqual([null])
  })
})

describe('a set with parts out', () => {
  const rules = ruleSet('R-EU')
  const out = [tried('limit', null), tried('normal', HEALTHY_A, 'Q17')]
  it('has not passed its first power, and stays off until they are back', () => {
    expect(warnings(SHEET, out)).toEqual(['parts-out'])
    expect(jobState(SHEET, rules, out).done.inspection).toBe(false)
    expect(warnings(SHEET, [...out, tried('normal', HEALTHY_A)])).toEqual([])
  })
  it('stays unfinished where it draws too much without them', () => {
    const high = [tried('normal', SHEET.idleA.high * 2, 'Q17')]
    expect(warnings(SHEET, high)).toEqual(['parts-out'])
    expect(jobState(SHEET, rules, high).done.inspection).toBe(false)
  })
  it('answers nothing about its idle current', () => {
    expect(testsMade(SHEET, out)).toEqual([])
    expect(testsMade(SHEET, [tried('limit', null)])).toEqual([{ observableId: 'idle', outcome: 'at-limit' }])
  })
})
