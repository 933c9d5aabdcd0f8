import { describe, expect, it } from 'vitest'
import type { JobEvent } from '#core/run'
import { workLog } from '#core/work'
import { workEntryWords } from './workLogWords'

const said = (...events: object[]) =>
  workLog(events.map((e, i) => ({ id: String(i), atMs: i * 60_000, ...e }) as JobEvent)).map(workEntryWords)

describe('entries of the work in words', () => {
  it('a part that went in where nothing came out is only fitted', () => {
    const changed = {
      kind: 'part-changed',
      designator: 'D9',
      partOut: '',
      partIn: '6 A',
      isFinal: false,
      text: '',
    }
    expect(said(changed)[0]).toEqual({ label: 'Part replaced', about: 'D9', details: ['6 A fitted'] })
    expect(said({ ...changed, partOut: '1 A', isFinal: true })[0]!.details).toEqual([
      '1 A removed, 6 A fitted',
      'final or driver',
    ])
  })
  it('a question stands with what a no means and what was answered', () => {
    const asked = {
      kind: 'question-asked',
      text: 'May the glue go?',
      price: '40',
      consequence: 'it may leak',
    }
    expect(said(asked)[0]!.details).toEqual(['40', 'if declined: it may leak', 'not answered yet'])
    const answered = { kind: 'question-answered', questionId: '0', answer: 'no', text: 'leave it' }
    expect(said(asked, answered)[0]!.details.at(-1)).toMatch(/^owner: No: leave it \(.*\)$/)
  })
  it('what is on hold says from whom, and that it came', () => {
    const held = { kind: 'wait-begun', waitsFor: 'parts', text: 'crystal', untilDay: '2026-12-20' }
    expect(said(held)[0]!.details).toHaveLength(2)
    expect(said(held, { kind: 'wait-ended', waitId: '0', text: '' })[0]!.details.at(-1)).toMatch(/^received /)
  })
  it('something that is not on the sheet says what is to be read again', () => {
    const turned = { kind: 'unlisted-turned', name: 'L9', role: 'coil', startPosition: '' }
    expect(said(turned)[0]!.details.join(' ')).toMatch(/starting position: unknown.*Recheck then: .*because/)
  })
})
