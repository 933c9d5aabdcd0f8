import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { stagesOfKind, type Stage } from './stages'
import { latestStart, latestStartFor, outlook, runsInto, type BlockedPeriod } from './promise'

const taken = (fromDay: string, toDay: string): BlockedPeriod => ({
  id: fromDay,
  fromDay,
  toDay,
  why: 'other work',
})
/** Phases of a full service from one of them on. */
const from = (stage: Stage) => stagesOfKind('full-service').slice(stagesOfKind('full-service').indexOf(stage))
const dayOf = (n: number) => new Date(Date.UTC(2026, 10, 1) + n * 86_400_000).toISOString().slice(0, 10)

describe('promised dates (W04)', () => {
  it('count backward: one day of work, one of soak', () => {
    expect(latestStart('2026-11-27', from('as-found'), [])).toBe('2026-11-25')
    expect(latestStart('2026-11-27', from('soak'), [])).toBe('2026-11-26')
    expect(latestStart('2026-11-27', from('handover'), [])).toBe('2026-11-27')
    expect(outlook('2026-11-27', from('as-found'), '2026-11-24', []).verdict).toBe('fits')
    expect(outlook('2026-11-27', from('as-found'), '2026-11-25', []).verdict).toBe('tight')
    expect(outlook('2026-11-27', from('as-found'), '2026-11-26', []).verdict).toBe('late')
  })
  it('need one day where the kind of job has no soak, and none where only the handover is left', () => {
    expect(latestStart('2026-11-27', stagesOfKind('check'), [])).toBe('2026-11-26')
    expect(latestStart('2026-11-27', ['as-left', 'handover'], [])).toBe('2026-11-26')
    expect(latestStart('2026-11-27', stagesOfKind('repair'), [])).toBe('2026-11-25')
    expect(latestStart('2026-11-27', stagesOfKind('proof'), [])).toBe('2026-11-25')
  })
  it('skip the days on which the bench is taken (W06)', () => {
    const weeks = [taken('2026-11-16', '2026-11-26')]
    expect(latestStart('2026-11-27', from('as-found'), weeks)).toBe('2026-11-14')
    expect(outlook('2026-11-27', from('as-found'), '2026-11-25', weeks)).toEqual({
      verdict: 'late',
      latestStart: '2026-11-14',
      blocked: weeks,
    })
    expect(outlook('2026-11-15', from('as-found'), '2026-11-10', weeks).blocked).toEqual([])
    expect(
      latestStart('2026-11-26', from('handover'), weeks),
      'nobody hands over while the bench is taken',
    ).toBe('2026-11-15')
  })
  it('agree with a plain count of free days', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 80 }),
        fc.integer({ min: 0, max: 4 }),
        fc.array(fc.tuple(fc.integer({ min: 0, max: 80 }), fc.integer({ min: 0, max: 6 })), { maxLength: 4 }),
        (promised, needed, periods) => {
          const blocked = periods.map(([from, length]) => taken(dayOf(from), dayOf(from + length)))
          const free = (n: number) => !blocked.some(b => b.fromDay <= dayOf(n) && dayOf(n) <= b.toDay)
          const start = latestStartFor(dayOf(promised), needed, blocked)
          const at = Array.from({ length: 200 }, (_, i) => promised - i).find(n => dayOf(n) === start)!
          const between = Array.from({ length: promised - at }, (_, i) => at + i).filter(free).length
          expect(between).toBe(Math.max(needed, free(promised) ? 0 : 1))
          expect(free(at)).toBe(true)
        },
      ),
    )
  })
})

describe('a blocked period (F63)', () => {
  it('is run into by a job that needs two days from the day before it', () => {
    const blocked = [taken('2026-12-01', '2027-01-15')]
    expect(runsInto(from('intake'), '2026-11-30', blocked)).toEqual(blocked[0])
    expect(runsInto(from('intake'), '2026-11-29', blocked)).toBeNull()
    expect(runsInto(from('as-left'), '2026-11-30', blocked)).toBeNull()
    expect(runsInto(from('intake'), '2026-12-20', blocked)).toEqual(blocked[0])
  })
})
