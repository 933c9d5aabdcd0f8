import { describe, expect, it } from 'vitest'
import type { JobEvent } from '../run'
import { workLog } from './workLog'

const at = (minute: number, event: object) =>
  ({ id: String(minute), atMs: minute * 60_000, ...event }) as JobEvent
const asked = (minute: number) =>
  at(minute, { kind: 'question-asked', text: '?', price: '', consequence: '' })
const held = (minute: number) =>
  at(minute, { kind: 'wait-begun', waitsFor: 'parts', text: '', untilDay: null })
const treated = (minute: number) => at(minute, { kind: 'treated', what: 'cleaned', where: 'RV2', text: '' })

describe('the log of the work', () => {
  it('has what the job waits for first, then the newest first; readings and notes are not of it', () => {
    const events = [treated(1), asked(2), held(3), treated(4), at(5, { kind: 'note', text: 'warm' })]
    expect(workLog(events).map(e => [e.event.id, e.isOpen])).toEqual([
      ['3', true],
      ['2', true],
      ['4', false],
      ['1', false],
    ])
  })
  it('an answer and an arrival close their entries, which keep their place in time', () => {
    const events = [
      asked(1),
      held(2),
      treated(3),
      at(4, { kind: 'question-answered', questionId: '1', answer: 'no', text: '' }),
      at(5, { kind: 'wait-ended', waitId: '2', text: '' }),
    ]
    const log = workLog(events)
    expect(log.map(e => e.event.id)).toEqual(['3', '2', '1'])
    expect(log.every(e => !e.isOpen)).toBe(true)
    expect(log[2]!.answered?.answer).toBe('no')
    expect(log[1]!.ended?.id).toBe('5')
  })
})
