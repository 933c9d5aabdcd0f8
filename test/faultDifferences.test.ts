import { describe, expect, it } from 'vitest'
import { differencesOf } from '../scripts/lib/faults/differences.mjs'

const [a, b, c] = ['a', 'b', 'c'].map(id => ({ id, text: id })) as [
  { id: string; text: string },
  { id: string; text: string },
  { id: string; text: string },
]

describe('What came back against what was acknowledged', () => {
  it.each([
    ['equal', [a, b, c], []],
    ['lost', [a, c], [/1 .* lost/]],
    ['lost at the end', [a, b], [/1 .* lost/]],
    ['doubled', [a, b, b, c], [/1 .* twice/]],
    ['never sent', [a, b, c, { id: 'd' }], [/never sent/]],
    ['changed', [a, { ...b, text: 'other' }, c], [/1 .* not as they were sent/]],
    ['out of order', [b, a, c], [/out of order/]],
  ])('%s', (_, stored, words) => {
    const found = differencesOf([a, b, c], stored)
    expect(found).toHaveLength(words.length)
    found.forEach((text, i) => expect(text).toMatch(words[i]!))
  })
})
