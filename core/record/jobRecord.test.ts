import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import type { JobEvent } from '../run'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { goodRun, rowTaken } from '../../test/fixtures/jobEvents'
import { jobRecord } from './jobRecord'

const JOB = {
  tag: 'W-0231',
  owner: 'Barge Heron',
  serial: '41877',
  complaint: 'weak',
  claims: [{ id: 'c1', quantity: 'powerW' as const, kind: 'under' as const, value: 3, meter: '' }],
  accessories: '',
  boxNote: '',
  schools: {},
  mayDo: '',
  promisedOn: null,
  createdAtMs: 1,
}
const RULES = ruleSet('R-UK27')
const SHEETS = { now: OSMUND_27F, found: OSMUND_27F }
const record = (events: readonly JobEvent[]) => jobRecord(JOB, SHEETS, RULES, events, 5)

describe('job record', () => {
  const found = rowTaken('as-found', null, 'high-20', { powerW: 2.8 })
  const left = rowTaken('as-left', null, 'high-20', { powerW: 3.8 }, { supplyV: 13.2 })
  it('compares before and after, with verdicts and what differs', () => {
    const power = record([found, left]).comparison.find(c => c.row === 'high-20' && c.quantity === 'powerW')!
    expect(power).toMatchObject({
      siUnit: 'W',
      before: { value: 2.8, verdict: 'below' },
      after: { value: 3.8, verdict: 'inside' },
      comparable: false,
      differences: ['supply'],
    })
    expect(
      record([found]).comparison.find(c => c.row === 'high-20' && c.quantity === 'powerW'),
    ).toMatchObject({ after: null, comparable: null })
  })
  it('says how each claim stands', () => {
    expect(record([found]).claims).toEqual([
      { id: 'c1', outcome: 'confirmed', measuredValue: 2.8, meterFactor: null },
    ])
    expect(record([]).claims[0]).toMatchObject({ outcome: 'not-measured', measuredValue: null })
  })
  it('carries every event, so that all of it can be computed again', () => {
    const events = [found, ...goodRun(), left]
    const { events: kept, exportedAtMs, ...rest } = record(events)
    expect([kept, exportedAtMs]).toEqual([events, 5])
    const { events: _kept, exportedAtMs: _at, ...again } = jobRecord(JOB, SHEETS, RULES, kept, 9)
    expect(again).toEqual(rest)
  })
  it('is judged by the rule set that it names', () => {
    const strict = jobRecord(
      JOB,
      SHEETS,
      ruleSet('R-SHOP'),
      [
        rowTaken(
          'as-left',
          null,
          'tone-20',
          { deviationPositiveHz: 2100, deviationNegativeHz: 2100 },
          { toneHz: 1000 },
        ),
      ],
      1,
    )
    expect(strict.ruleSet).toMatchObject({ id: 'R-SHOP', fromMemory: false })
    expect(strict.comparison.find(c => c.row === 'tone-20')!.after!.verdict).toBe('below')
  })
})
