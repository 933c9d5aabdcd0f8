import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { JobEvent } from '#core/run'
import { workLog } from '#core/work'
import WorkEntries from './WorkEntries.vue'

const EVENTS = [
  {
    id: 'part',
    atMs: 1,
    kind: 'part-changed',
    designator: 'Q31',
    partOut: '',
    partIn: 'new',
    isFinal: false,
    text: '',
  },
  { id: 'asked', atMs: 2, kind: 'question-asked', text: 'May the glue go?', price: '', consequence: '' },
  { id: 'held', atMs: 3, kind: 'wait-begun', waitsFor: 'parts', text: 'crystal', untilDay: null },
] as JobEvent[]
const list = (events = EVENTS) => mount(WorkEntries, { props: { entries: workLog(events) } })
const button = (of: ReturnType<typeof list>, name: string) =>
  of.findAll('button').find(b => b.text() === name || b.attributes('aria-label') === name)!

describe('WorkEntries', () => {
  it('what the job waits for stands first and can be ended in its line', async () => {
    const shown = list()
    expect(shown.findAll('li').map(li => li.get('b').text())).toEqual(['crystal', 'May the glue go?', 'Q31'])
    await button(shown, 'Mark as received').trigger('click')
    expect(shown.emitted('send')).toEqual([[{ kind: 'wait-ended', waitId: 'held', text: '' }]])
  })
  it('an answer takes the words of the owner along', async () => {
    const shown = list()
    await shown.get('input').setValue('as long as it holds')
    await button(shown, 'Yes').trigger('click')
    expect(shown.emitted('send')).toEqual([
      [{ kind: 'question-answered', questionId: 'asked', answer: 'yes', text: 'as long as it holds' }],
    ])
  })
  it('what was answered and received has no buttons for it any more', () => {
    const ended = list([
      ...EVENTS,
      { id: 'a', atMs: 4, kind: 'question-answered', questionId: 'asked', answer: 'no', text: '' },
      { id: 'e', atMs: 5, kind: 'wait-ended', waitId: 'held', text: '' },
    ] as JobEvent[])
    expect(ended.find('input').exists()).toBe(false)
    expect(button(ended, 'Mark as received')).toBeUndefined()
    expect(ended.text()).toContain('owner: No')
  })
  it('each entry is struck out by a button that names it', async () => {
    const shown = list()
    await button(shown, 'Strike out Q31…').trigger('click')
    expect(shown.emitted('strike')).toEqual([['part']])
  })
})
