import { describe, expect, it } from 'vitest'
import { eventStruck, rowTaken, struck, turned } from '../../test/fixtures/jobEvents'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { RULES_UK27 } from '../rules/sets/uk27'
import type { JobEvent } from './jobEvent'
import { matrixState } from './matrixState'
import { asOfTrainee, awaitingRelease, mayTraineeEnter } from './release'
import { runState } from './runState'
import { validEvents } from './validEvents'

const taken = () => asOfTrainee(rowTaken('as-found', null, 'high-20', { powerW: 2.8 }))
let reviews = 0
const reviewed = (released: boolean, ...entries: JobEvent[]): JobEvent => ({
  kind: 'entries-reviewed',
  id: `review-${++reviews}`,
  atMs: 1_795_900_000_000,
  eventIds: entries.map(e => e.id),
  released,
  text: '',
})
/** What the as-found matrix shows of the power. */
const found = (...events: JobEvent[]) =>
  matrixState(OSMUND_27F, RULES_UK27, runState(OSMUND_27F, RULES_UK27, events).history, 'as-found')
    .find(r => r.point.id === 'high-20')!
    .cells.find(c => c.want.quantity === 'powerW')!.latest?.reading.value ?? null

describe('an entry of a trainee', () => {
  it('is judged by nobody until it is released', () => {
    const row = taken()
    expect([found(row), awaitingRelease([row])]).toEqual([null, [row]])
    const events = [row, reviewed(true, row)]
    expect([found(...events), awaitingRelease(events)]).toEqual([2.8, []])
  })
  it('that is turned down never counts, and waits no more', () => {
    const row = taken()
    const events = [row, reviewed(false, row)]
    expect([found(...events), awaitingRelease(events)]).toEqual([null, []])
  })
  it('that two technicians looked at is what the last of them said', () => {
    const row = taken()
    expect(found(row, reviewed(true, row), reviewed(false, row))).toBeNull()
    expect(found(row, reviewed(false, row), reviewed(true, row))).toBe(2.8)
  })
  it('waits again when its release was struck out', () => {
    const row = taken()
    const release = reviewed(true, row)
    const events = [row, release, eventStruck(release.id)]
    expect([found(...events), awaitingRelease(events)]).toEqual([null, [row]])
  })
  it('leaves what a technician read as it was', () => {
    const own = rowTaken('as-found', null, 'high-20', { powerW: 3.1 })
    const row = taken()
    expect(found(own, row)).toBe(3.1)
    expect(found(own, row, reviewed(true, row))).toBe(2.8)
  })
  it('of what was done to the set counts at once: it only takes trust away', () => {
    const turn = asOfTrainee(turned('CT2'))
    expect(validEvents([turn])).toEqual([turn])
    expect(awaitingRelease([turn])).toEqual([])
  })
  it('is a reading, a note, what was looked at or turned; nothing is struck out or handed over', () => {
    expect(mayTraineeEnter(turned('CT2').kind)).toBe(true)
    expect(mayTraineeEnter(struck('x').kind)).toBe(false)
    for (const kind of ['handed-over', 'sheet-amended', 'event-struck', 'entries-reviewed'] as const)
      expect(mayTraineeEnter(kind)).toBe(false)
  })
})
