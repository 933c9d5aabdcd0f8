import { expect, it } from 'vitest'
import { ruleSet, type RuleSet } from '#core/rules'
import { maskWords, powerLimitWords } from './ruleWords'

it('a mask is said by group of modes, with what adds to it', () => {
  expect(maskWords(ruleSet('R-US').mask)).toEqual([
    'emission mask AM, FM: 25 dB down from 4 to 8 kHz; 35 dB down from 8 to 20 kHz; ' +
      '53 + 10 log P dB down beyond 20 kHz',
    'emission mask USB, LSB: 25 dB down from 2 to 6 kHz; 35 dB down from 6 to 10 kHz; ' +
      '53 + 10 log P dB down beyond 10 kHz',
  ])
})
it('limits in watts are said with their number and unit', () => {
  expect(powerLimitWords(ruleSet('R-EU'))).toEqual([
    { id: 'R-EU7', words: 'adjacent channel 20 µW max.' },
    {
      id: 'R-EU8',
      words: 'spurious 4 nW in 47-74, 87.5-118, 174-230, 470-862 MHz, 0.25 µW elsewhere below 1 GHz',
    },
  ])
  const own = {
    ...ruleSet('R-EU'),
    spurious: { id: 'S1', protectedMaxW: 4e-7, otherMaxW: 0.002, confidence: 'M' },
  }
  expect(powerLimitWords(own as RuleSet)[1]!.words).toBe(
    'spurious 0.4 µW max. in 47-74, 87.5-118, 174-230, 470-862 MHz, 2 mW elsewhere',
  )
  expect(powerLimitWords(ruleSet('R-AM'))).toEqual([])
})
