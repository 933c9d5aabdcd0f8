import { describe, expect, it } from 'vitest'
import { sentence, midSentence } from './sentence'

it.each([
  ['second harmonic 50 nW max.', 'second harmonic 50 nW max.'],
  ['carrier 4 W', 'carrier 4 W.'],
  ['Swapped?', 'Swapped?'],
])('%s ends once', (text, whole) => expect(sentence(text)).toBe(whole))

describe('words within a sentence', () => {
  it.each([
    ['Reference 10.240 MHz', 'reference 10.240 MHz'],
    ['Power, average', 'power, average'],
    ['PEP', 'PEP'],
    ['S-meter at 100 µV', 'S-meter at 100 µV'],
    ['Última lectura', 'última lectura'],
    ['', ''],
  ])('"%s" is "%s"', (title, words) => expect(midSentence(title)).toBe(words))
})
