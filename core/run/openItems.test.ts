import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import type { JobEvent } from './jobEvent'
import { matrixState } from './matrixState'
import { openItems } from './openItems'
import { runState } from './runState'
import { goodRun, rowTaken, settled, stepRow, turned } from '../../test/fixtures/jobEvents'

const RULES = ruleSet('R-UK27')
const items = (events: readonly JobEvent[]) => {
  const run = runState(OSMUND_27F, RULES, events)
  const [before, after] = (['as-found', 'as-left'] as const).map(phase =>
    matrixState(OSMUND_27F, RULES, run.history, phase),
  )
  return openItems(run, { owed: OSMUND_27F.owed, steps: run.steps, asFound: before!, asLeft: after! })
}

describe('open items', () => {
  it('carries what the procedure owes until it is settled in words', () => {
    expect(
      items([])
        .filter(i => i.kind === 'owed')
        .map(i => [i.id, i.settled]),
    ).toEqual([
      ['A1.6', null],
      ['A1.16', null],
    ])
    expect(items([settled('A1.6', 'second IF within 40 Hz')]).find(i => i.id === 'A1.6')!.settled).toBe(
      'second IF within 40 Hz',
    )
  })
  it('lists open steps, rows that are missing, stale or outside', () => {
    const run = goodRun()
    expect(items(run).filter(i => i.kind === 'step-open')).toEqual([])
    expect(
      items([...run, turned('CT1')])
        .filter(i => i.kind === 'step-open')
        .map(i => i.id),
    ).toContain('A1.5')
    expect(
      items([
        ...run,
        rowTaken('as-left', null, 'low-20', { powerW: 0.9, supplyA: 0.5 }, { lowPower: true }),
      ]).find(i => i.id === 'as-left:low-20'),
    ).toMatchObject({ kind: 'as-left-outside', detail: { code: 'common.above' } })
    expect(
      items([...run, stepRow('A1.11', 'low', { powerW: 0.9 })]).find(i => i.id === 'A1.11'),
    ).toMatchObject({ kind: 'step-open', detail: { code: 'common.above' } })
  })
})

/** Words speak of what stood there when they were said. */
describe('words that settled an item', () => {
  const low = (powerW: number) =>
    rowTaken('as-left', null, 'low-20', { powerW, supplyA: 0.5 }, { lowPower: true })
  const ofLow = (...events: JobEvent[]) => items(events).find(i => i.id === 'as-left:low-20')
  const said = settled('as-left:low-20', 'no wattmeter for it')

  it('do not settle what was measured afterwards', () => {
    expect(ofLow(said)).toMatchObject({ kind: 'as-left-missing', settled: 'no wattmeter for it' })
    expect(ofLow(said, low(0.9))).toMatchObject({ kind: 'as-left-outside', settled: null })
    const agreed = settled('as-left:low-20', 'the owner wants it so')
    expect(ofLow(said, low(0.9), agreed)).toMatchObject({ settled: 'the owner wants it so' })
    expect(ofLow(said, low(0.9), agreed, low(1.4))).toMatchObject({ kind: 'as-left-outside', settled: null })
  })
  it('do not settle a row that something was turned after', () => {
    const agreed = settled('as-left:low-20', 'the owner wants it so')
    expect(ofLow(low(0.9), agreed, turned('L6'))).toMatchObject({ kind: 'as-left-stale', settled: null })
  })
  it('of a step do not settle what was done in it afterwards', () => {
    const later = settled('A1.11', 'another visit')
    const step = (...events: JobEvent[]) => items(events).find(i => i.id === 'A1.11')!
    expect(step(later).settled).toBe('another visit')
    expect(step(later, stepRow('A1.11', 'low', { powerW: 0.9 })).settled).toBeNull()
  })
  it('settle several at once, and none of them when they are struck out', () => {
    const event = { id: '00000000-0000-4000-8000-0000000000aa', atMs: 1_796_000_000_000 }
    const both: JobEvent = { ...event, kind: 'items-settled', itemIds: ['A1.6', 'A1.16'], text: 'next visit' }
    const owed = (...events: JobEvent[]) =>
      items(events)
        .filter(i => i.kind === 'owed')
        .map(i => i.settled)
    expect(owed(both)).toEqual(['next visit', 'next visit'])
    const back: JobEvent = {
      id: '00000000-0000-4000-8000-0000000000ab',
      atMs: 1_796_000_001_000,
      kind: 'event-struck',
      eventId: event.id,
      reason: 'wrong job',
    }
    expect(owed(both, back)).toEqual([null, null])
  })
})
