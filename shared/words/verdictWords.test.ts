import { afterEach, describe, expect, it } from 'vitest'
import type { Measured } from '#core/quantity'
import { judge, limitFor, ruleSet } from '#core/rules'
import { readLanguageFrom } from '#shared/i18n'
import { reasonWords } from './verdictWords'

const window = { low: 3.6, high: 4, aim: null }
const asked = { window, limit: null, nominalHz: null }
const plain = (words: string) => words.replace(/[\s\u2009\u202f]/g, ' ')
const said = (value: number, style = {}) => {
  const measured = { value, standardUncertainty: 0.01 }
  const judgement = judge(measured, window, null)
  return reasonWords(judgement, 'powerW', asked, measured, style).map(plain).at(-1)
}
afterEach(() => readLanguageFrom(() => 'en'))

describe('why a verdict is what it is', () => {
  it('names the verdict, or not where it stands beside', () => {
    expect(said(3)).toBe('below tolerance by 0.60 W, 0.79 dB, 3.6 W to 4 W')
    expect(said(3, { besideVerdict: true })).toBe('tolerance by 0.60 W, 0.79 dB, 3.6 W to 4 W')
    expect(said(4.5, { ofSeveral: true })).toBe('above tolerance by up to 0.50 W, 0.51 dB, 3.6 W to 4 W')
    expect(said(3.8)).toBe('within tolerance, 3.6 W to 4 W')
    expect(said(3.8, { besideVerdict: true })).toBe('tolerance, 3.6 W to 4 W')
  })
  it('says what leaves a limit undecided, and nothing else', () => {
    const channel = { centreHz: 27_791_250, lowPower: false, mode: 'FM' as const }
    const limit = limitFor(ruleSet('R-UK27'), 'powerW', channel)!
    const against = (measured: Measured) =>
      reasonWords(judge(measured, null, limit), 'powerW', { ...asked, window: null, limit }, measured).map(
        plain,
      )
    expect(against({ value: 3.95, standardUncertainty: 0.1 })).toEqual([
      'cannot tell: the legal limit (4 W max.) lies within the uncertainty',
    ])
    expect(against({ value: 3, standardUncertainty: null })).toEqual([
      'cannot tell: uncertainty unknown, the legal limit (4 W max.) is not judged',
    ])
    expect(against({ value: 3, standardUncertainty: 0.1, bound: 'at-least' })).toEqual([
      'cannot tell: the bound that was read does not decide about the legal limit (4 W max.)',
    ])
  })
  it('says it once in Spanish too', () => {
    readLanguageFrom(() => 'es')
    expect(said(3)).toMatch(/^por debajo de la tolerancia por 0\.60 W/)
    expect(said(3, { besideVerdict: true })).toMatch(/^de la tolerancia por 0\.60 W/)
    expect(said(3.8, { besideVerdict: true })).toMatch(/^de tolerancia, /)
  })
})
