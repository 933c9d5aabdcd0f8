import { describe, expect, it } from 'vitest'
import { SHEETS } from '../sheet'
import { VARIABLE } from '../../test/fixtures/variablePower'
import { oldRecords, type OldNames } from './oldRecords'

const NAMES: OldNames = {
  sheets: SHEETS,
  quantities: new Map([
    ['power', 'powerW'],
    ['frequency', 'carrierHz'],
  ]),
  nowMs: Date.parse('2026-11-29T08:00:00Z'),
}
const VISIT = {
  owner: 'Barge Heron',
  model: 'Osmund 27F',
  serial: '40622',
  received: '2019-04-30',
  returned: '2019-05-03',
}
const READING = {
  phase: 'as-found',
  mode: 'FM',
  channel: '20',
  power: 'high',
  quantity: 'power',
  value: '2,9 W',
}
const read = (...rows: Record<string, string>[]) => oldRecords(rows, NAMES)
const only = (...rows: Record<string, string>[]) => {
  const { records, problems } = read(...rows)
  expect(problems).toEqual([])
  expect(records).toHaveLength(1)
  return records[0]!
}

describe('A table of old records', () => {
  it('makes one visit of the rows of one set and day, with its readings in rows of the sheet', () => {
    const record = only(
      { ...VISIT, ...READING, complaint: 'weak', note: 'coil cracked' },
      { ...VISIT, ...READING, phase: 'as-left', value: '>4', note: 'coil cracked' },
      { ...VISIT, note: 'paid' },
    )
    expect(record).toMatchObject({ rows: [2, 3, 4], complaint: 'weak', notes: ['coil cracked', 'paid'] })
    expect(record.sheet.id).toBe('osmund-27f')
    expect(new Date(record.receivedMs).toISOString()).toBe('2019-04-30T12:00:00.000Z')
    expect(record.readings.map(r => [r.phase, r.point?.id, r.value, r.bound])).toEqual([
      ['as-found', 'high-20', 2.9, null],
      ['as-left', 'high-20', 4, 'at-least'],
    ])
  })

  it('takes headings in any case and order, models by name or id, and leaves unknown columns alone', () => {
    const { owner, serial, received, returned } = VISIT
    expect(
      only({
        'Returned': returned,
        'OWNER': owner,
        ' Serial ': serial,
        received,
        'model': 'osmund-27f',
        'x': 'y',
      }),
    ).toMatchObject({ owner, readings: [] })
  })

  it('keeps two visits of one set, and two sets of one day, apart', () => {
    const { records } = read(
      VISIT,
      { ...VISIT, received: '2021-01-02', returned: '2021-01-02' },
      { ...VISIT, serial: '40623' },
    )
    expect(records.map(r => r.rows)).toEqual([[2], [3], [4]])
  })
})

describe('A reading of the table', () => {
  const pointOf = (change: Record<string, string>) =>
    only({ ...VISIT, ...READING, ...change }).readings[0]!.point?.id ?? null

  it('stays without a row where the table does not name one', () => {
    expect(pointOf({})).toBe('high-20')
    // This set has low power too: without a word nobody knows which was meant.
    expect(pointOf({ power: '' })).toBeNull()
    expect(pointOf({ channel: '' })).toBeNull()
    expect(pointOf({ channel: '7' })).toBeNull()
    expect(pointOf({ mode: 'AM' })).toBeNull()
    // One mode only: it need not be said.
    expect(pointOf({ mode: '' })).toBe('high-20')
  })

  it('of a set with several modes needs the mode', () => {
    const several = SHEETS.find(s => new Set(s.matrix.map(p => p.state.mode)).size > 1)!
    const { state } = several.matrix.find(
      p => p.state.channel !== null && p.wants.some(w => w.quantity === 'powerW'),
    )!
    const row = { ...VISIT, ...READING, model: several.model, channel: String(state.channel), mode: '' }
    expect(only(row).readings[0]!.point).toBeNull()
  })

  it('is kept as it was written, whatever it means', () => {
    expect(only({ ...VISIT, ...READING, channel: '7' }).readings[0]!.written).toBe(
      'FM, 7, high, power, 2,9 W',
    )
  })
})

describe('A visit that cannot be read', () => {
  const problemOf = (change: Record<string, string>) => {
    const { records, problems } = read({ ...VISIT, ...READING, ...change }, { ...VISIT, serial: '1' })
    // The other is not held up by it.
    expect(records.map(r => r.rows)).toEqual([[3]])
    expect(problems[0]!.row).toBe(2)
    return [problems[0]!.column, problems[0]!.why]
  }

  it.each([
    [{ owner: '' }, 'owner', 'missing'],
    [{ model: 'Osmund 28' }, 'model', 'unknown'],
    [{ serial: '  ' }, 'serial', 'missing'],
    [{ received: '30.4.2019' }, 'received', 'no-date'],
    [{ received: '2019-02-31' }, 'received', 'no-date'],
    [{ received: '2027-01-01', returned: '2027-01-02' }, 'received', 'to-come'],
    [{ returned: '' }, 'returned', 'missing'],
    [{ returned: '2019-04-29' }, 'returned', 'before'],
    [{ quantity: 'wattage' }, 'quantity', 'unknown'],
    [{ quantity: '' }, 'quantity', 'missing'],
    [{ value: '' }, 'value', 'missing'],
    [{ value: 'weak' }, 'value', 'no-value'],
    [{ value: '5 kHz' }, 'value', 'no-value'],
    [{ phase: '' }, 'phase', 'missing'],
    [{ phase: 'soak' }, 'phase', 'unknown'],
    [{ channel: '1.5' }, 'channel', 'unknown'],
    [{ power: 'medium' }, 'power', 'unknown'],
    [{ mode: 'DSB' }, 'mode', 'unknown'],
  ])('%j: %s %s', (change, column, why) => {
    expect(problemOf(change)).toEqual([column, why])
  })

  it('is not taken in part: one row of it holds all of it back, also where two rows differ', () => {
    const { records, problems } = read(
      { ...VISIT, ...READING, complaint: 'weak' },
      { ...VISIT, ...READING, value: '??' },
      { ...VISIT, complaint: 'wide' },
    )
    expect(records).toEqual([])
    expect(problems.map(p => [p.row, p.column, p.why])).toEqual([
      [3, 'value', 'no-value'],
      [4, 'complaint', 'differs'],
    ])
  })
})

describe('the power of an old reading', () => {
  const of = (power: string) =>
    oldRecords([{ ...VISIT, ...READING, model: 'Osmund 27V', power }], { ...NAMES, sheets: [VARIABLE] })
  const row = (power: string) => of(power).records[0]?.readings[0]?.point?.id
  it('is a position by the name that the set gives it, in any case', () => {
    expect(['high', '4 W', '4 w', 'low', '0.4 W', '1.5 W'].map(row)).toEqual([
      'high-20',
      'high-20',
      'high-20',
      'low-20',
      'low-20',
      'medium',
    ])
    expect(of('2 W').problems).toMatchObject([{ column: 'power', why: 'unknown' }])
  })
  it('is not guessed where the table is silent', () =>
    expect(
      oldRecords([{ ...VISIT, ...READING, model: 'Osmund 27V', power: '' }], { ...NAMES, sheets: [VARIABLE] })
        .records[0]!.readings[0]!.point,
    ).toBeNull())
})
