import { describe, expect, it } from 'vitest'
import { rowTaken, settled, turned } from '../../test/fixtures/jobEvents'
import { ruleSet } from '../rules'
import { compareMatrix, matrixState, runState, type JobEvent, type WorkEvent } from '../run'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { jobState, plannedWork } from './index'
import { conditionOf, madeTrueBy } from './reminderConditions'

type ReminderSet = Extract<WorkEvent, { kind: 'reminder-set' }>
let count = 0
const set = (event: Omit<ReminderSet, 'id' | 'atMs'>): ReminderSet => ({
  ...event,
  id: `71000000-0000-4000-8000-${String(++count).padStart(12, '0')}`,
  atMs: count * 1000,
})
const state = (events: JobEvent[]) => jobState(OSMUND_27F, ruleSet(OSMUND_27F.defaultRuleSetId), events)

describe('reminders with a condition', () => {
  const reminder = set({ kind: 'reminder-set', condition: 'power', text: 'dress L4' })
  const low = rowTaken('as-found', null, 'high-20', { powerW: 2.8 })
  const good = rowTaken('as-left', null, 'high-20', { powerW: 3.8 })
  it('are silent until a reading makes them due, and silent again when the work cured it', () => {
    expect(state([reminder]).reminders[0]).toMatchObject({ because: null })
    expect(
      state([reminder, rowTaken('as-found', null, 'high-20', { powerW: 3.8 })]).reminders[0],
    ).toMatchObject({ because: null })
    expect(state([reminder, low]).items).toContainEqual(
      expect.objectContaining({ kind: 'reminder', title: 'dress L4' }),
    )
    expect(state([reminder, low, good]).reminders[0]).toMatchObject({ because: null })
  })
  const dueOf = (...events: JobEvent[]) =>
    state([reminder, ...events]).items.find(i => i.id === `reminder:${reminder.id}`)
  it('name the row, and say so where its reading cannot be told', () => {
    expect(dueOf(low)!.detail).toMatchObject({
      code: 'item.nowTrue',
      values: { row: { term: 'Channel 20, high power' } },
    })
    // 3.95 W is 3.83 to 4.07 W: on which side of 4 W it lies nobody knows.
    const near = rowTaken('as-found', null, 'high-20', { powerW: 3.95 })
    expect(dueOf(near)!.detail).toMatchObject({
      code: 'item.mayBeTrue',
      values: { row: { term: 'Channel 20, high power' } },
    })
    const outside = rowTaken('as-found', null, 'high-1', { powerW: 2 }, { channel: 1 })
    expect(dueOf(near, outside)!.detail).toMatchObject({ code: 'item.nowTrue' })
  })
  it('a converted set is judged by its own rows, in whatever order its sheet has them', () => {
    const RULES = ruleSet(OSMUND_27F.defaultRuleSetId)
    const now = { ...OSMUND_27F, id: 'converted', matrix: OSMUND_27F.matrix.toReversed() }
    const compared = (...left: JobEvent[]) =>
      compareMatrix(
        { now, found: OSMUND_27F },
        matrixState(OSMUND_27F, RULES, runState(OSMUND_27F, RULES, [low]).history, 'as-found'),
        matrixState(now, RULES, runState(now, RULES, left).history, 'as-left'),
      )
    expect(madeTrueBy(conditionOf('power'), compared())?.point.id).toBe('high-20')
    expect(madeTrueBy(conditionOf('power'), compared(good))).toBeNull()
  })
  it('an adjuster that was turned since may have cured it, or not: nobody knows before it is read again', () => {
    expect(dueOf(low, turned('L7'))!.detail).toMatchObject({ code: 'item.mayBeTrue' })
    expect(dueOf(low, turned('RV3'))!.detail, 'RV3 does not move the power').toMatchObject({
      code: 'item.nowTrue',
    })
    const left = rowTaken('as-left', null, 'high-20', { powerW: 2.8 })
    expect(dueOf(low, turned('L7'), left)!.detail).toMatchObject({ code: 'item.nowTrue' })
  })
  it('closed with words they are open again once a later reading makes them true', () => {
    const closed = settled(`reminder:${reminder.id}`, 'dressed')
    expect(dueOf(low, closed)!.settled).toBe('dressed')
    expect(dueOf(low, closed, good)).toBeUndefined()
    const again = rowTaken('as-left', null, 'high-20', { powerW: 2.9 })
    expect(dueOf(low, closed, good, again)!.settled).toBeNull()
  })
})

describe('work that is planned for a later visit', () => {
  const fan = set({ kind: 'reminder-set', condition: 'next-visit', text: 'fan' })
  const power = set({ kind: 'reminder-set', condition: 'power', text: 'dress L4' })
  const low = rowTaken('as-found', null, 'high-20', { powerW: 2.8 })
  it('is told, never due, and no open item of this job; struck out it is planned no more', () => {
    expect(plannedWork([fan, power])).toEqual(['fan'])
    const { reminders, items } = state([fan, low])
    expect(reminders).toMatchObject([{ text: 'fan', because: null }])
    expect(items.filter(i => i.kind === 'reminder')).toEqual([])
    expect(
      plannedWork([
        fan,
        {
          ...fan,
          kind: 'event-struck',
          id: '70000000-0000-4000-8000-999999999999',
          eventId: fan.id,
          reason: 'done now',
        } as JobEvent,
      ]),
    ).toEqual([])
  })
})
