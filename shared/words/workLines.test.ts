import { describe, expect, it } from 'vitest'
import { writer } from '../../test/fixtures/wholeJob/wholeJob'
import { ruleSet } from '#core/rules'
import { modelSheet } from '#core/sheet'
import { jobState } from '#core/work'
import type { JobEvent } from '#core/run'
import { workLines } from './workLines'

const AM = modelSheet('osmund-40a')
const w = writer(AM)
const lines = (...events: JobEvent[]) =>
  workLines({ sheet: AM, found: AM }, jobState(AM, ruleSet('R-EU'), events), events).join('\n')
const inspected = (state: 'fine' | 'seen', text: string) =>
  w.work({ kind: 'item-inspected', itemId: 'I33', state, text })

describe('what was done, for the workshop', () => {
  it('what was found whole is told where somebody wrote it, and by its last word only', () => {
    expect(lines(inspected('fine', 'Q9 and its parts all there'))).toContain(
      'Modulation limiter parts: OK, Q9 and its parts all there.',
    )
    expect(lines(inspected('fine', ''))).not.toContain('limiter')
    const later = lines(inspected('fine', 'all there'), inspected('seen', 'clipped'))
    expect(later).not.toContain('all there')
    expect(later).toContain('clipped')
  })
  it('tests of parts stand with what they prove', () => {
    const tested = w.work({
      kind: 'part-tested',
      part: 'D14',
      partKind: 'diode',
      boughtAt: '',
      dcResult: 'short',
      dcGain: null,
      rfPowerW: null,
      rfReferenceW: null,
      fallsWhileKeyed: null,
      heat: null,
      text: '',
    })
    expect(lines(tested)).toContain('Diode tested: D14, rejected; DC test: short')
  })
})
