import { describe, expect, it } from 'vitest'
import { matchDraft, matchTyped } from './matchForm'

const typed = (forward: string, reflected: string, swr: string) =>
  matchTyped({ forward, reflected, swr, meterAt: 'set-side' })

describe('what the line to the antenna showed, as it is typed', () => {
  it('is what was filled in, with its units; nothing where nothing was', () => {
    expect(typed('94 W', '800 mW', '')).toEqual({
      match: { forwardW: 94, reflectedW: 0.8, swr: null, meterAt: 'set-side' },
      problems: {},
    })
    expect(typed('', ' ', '').match).toBeNull()
  })
  it('stands in its fields again as it was kept', () => {
    const match = { forwardW: 94, reflectedW: 0, swr: null, meterAt: null } as const
    expect(matchTyped(matchDraft(match))).toEqual({ match, problems: {} })
    expect(matchTyped(matchDraft(undefined)).match).toBeNull()
  })
  it('names what cannot be: an SWR of 0, more back than forth, a bound, no number', () => {
    expect(typed('', '', '0').problems.swr).toMatch(/1/)
    expect(typed('4', '5', '').problems.reflected).toMatch(/reflected exceeds forward/)
    expect(typed('>20', '1', '').problems.forward).toMatch(/figure/)
    expect(Object.keys(typed('x', 'y', 'z').problems)).toEqual(['forward', 'reflected', 'swr'])
  })
})
