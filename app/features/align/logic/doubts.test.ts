import { describe, expect, it } from 'vitest'
import { EMPTY_CONTEXT } from '../../../../test/fixtures/doubts'
import { rowTaken, struck, turned } from '../../../../test/fixtures/jobEvents'
import { ruleSet } from '#core/rules'
import { matrixState, runState, type JobEvent } from '#core/run'
import { OSMUND_27F } from '#core/sheet/osmund27f/sheet'
import { rowDoubts, type DoubtContext } from './doubts'

const RULES = ruleSet('R-UK27')
type Taken = Extract<JobEvent, { kind: 'row-taken' }>
const row = (powerW: number) =>
  rowTaken('as-found', null, 'high-20', {
    carrierHz: 27_791_260,
    powerW,
    supplyV: 13.8,
    supplyA: 1.2,
  }) as Taken

function doubtsAt(events: readonly JobEvent[], change: Partial<DoubtContext> = {}) {
  const { history } = runState(OSMUND_27F, RULES, events)
  const rows = matrixState(OSMUND_27F, RULES, history, 'as-found')
  return rowDoubts(
    { ...EMPTY_CONTEXT, rows, history, ...change },
    rows.find(r => r.point.id === 'high-20')!,
  )
}
const rules = (...args: Parameters<typeof doubtsAt>) => doubtsAt(...args).map(d => d.rule)

describe('what is doubtful about a kept row', () => {
  it('is nothing where nothing is measured, and nothing about a healthy row', () => {
    expect(rules([])).toEqual([])
    expect(rules([row(3.8)])).toEqual([])
  })
  it('is a repeat that moved, on the same meter, with nothing turned or struck out in between', () => {
    expect(rules([row(3.8), row(3.95)])).toEqual(['P23'])
    expect(rules([row(3.8), row(3.85)])).toEqual([])
    expect(rules([row(3.8), turned('L6'), row(3.95)])).toEqual([])
    const first = row(3.8)
    expect(rules([first, struck(first.readings.find(r => r.quantity === 'powerW')!.id), row(3.95)])).toEqual(
      [],
    )
  })
  it('is a reading off the scale of its meter, by the name of the instrument on this bench', () => {
    const meterOf: DoubtContext['meterOf'] = (name, quantity) =>
      name === 'Meter' && quantity === 'powerW' ? { fullScale: 60, tick: null } : null
    expect(rules([row(3.8)], { meterOf })).toEqual(['P09'])
  })
  it('stays in sight with the reason for which it was kept', () => {
    const kept = row(40)
    const reading = kept.readings.find(r => r.quantity === 'powerW')!
    const [doubt] = doubtsAt([kept], {
      kept: [
        {
          kind: 'challenge-kept',
          id: 'k',
          atMs: 1,
          readingId: reading.id,
          rule: 'P06',
          reason: 'pulsed supply',
        },
      ],
    })
    expect(doubt).toMatchObject({ rule: 'P06', readingId: reading.id, keptBecause: 'pulsed supply' })
    expect(doubtsAt([kept])[0]).toMatchObject({ rule: 'P06', keptBecause: null })
  })
})
