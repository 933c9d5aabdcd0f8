import { expect, it } from 'vitest'
import { lawWords } from './lawWords'

const HERTZ = { radix: 10, decimals: 0, min: 0, max: 99_999_999 } as const

it('a reckoned value stands with its change, its reason and what the reading leaves open', () => {
  const advice = { designator: 'REF', law: 'assumed-clock', by: -103, next: 25_003_097, bound: 2.5 } as const
  expect(lawWords(advice, HERTZ)).toEqual({
    say: 'Set REF to 25003097 (\u2212103)',
    how: 'The output lies below: the clock is slower than REF says. The reading leaves \u00b13 open.',
  })
  expect(lawWords({ ...advice, by: 40, bound: null }, HERTZ).how).toBe(
    'The output lies above: the clock is faster than REF says.',
  )
})
it('an offset is entered with its sign', () => {
  const words = lawWords({ designator: 'IF', law: 'offset', by: -75, next: 4_915_125, bound: 5 }, HERTZ)
  expect(words.say).toBe('Set IF to 4915125 (\u221275)')
  expect(words.how).toMatch(/with its sign.*at 0\. The reading leaves \u00b15 open\.$/)
})
