import { describe, expect, it } from 'vitest'
import { modelSheet } from '../../core/sheet'
import { shortestKeyDownWords } from './runWords'

describe('how long a row may be keyed', () => {
  it('is what the sheet of the set allows, not what a transistor mobile bears', () => {
    expect(shortestKeyDownWords(modelSheet('quillon-hb150'))).toBe(
      'At most 10 s keyed, then rest twice as long, 30 s at least.',
    )
    expect(shortestKeyDownWords(modelSheet('osmund-27f'))).toBe(
      'At most 20 s keyed, then rest twice as long.',
    )
    expect(shortestKeyDownWords({ ...modelSheet('osmund-27f'), procedure: [] })).toContain('for seconds only')
  })
})
