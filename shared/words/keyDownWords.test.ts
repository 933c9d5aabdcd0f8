import { describe, expect, it } from 'vitest'
import { modelSheet } from '#core/sheet'
import { shortestKeyDownWords } from './runWords'

describe('how long a row may be keyed', () => {
  it('is what the sheet of the set allows, not what a transistor mobile bears', () => {
    expect(shortestKeyDownWords(modelSheet('quillon-hb150'))).toBe(
      'Key for 10 s at most, then rest twice as long, at least 30 s.',
    )
    expect(shortestKeyDownWords(modelSheet('osmund-27f'))).toBe(
      'Key for 20 s at most, then rest twice as long.',
    )
    expect(shortestKeyDownWords({ ...modelSheet('osmund-27f'), procedure: [] })).toContain('for seconds only')
  })
})
