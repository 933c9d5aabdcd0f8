import { expect, it } from 'vitest'
import { sentence } from './sentence'

it.each([
  ['second harmonic 50 nW max.', 'second harmonic 50 nW max.'],
  ['carrier 4 W', 'carrier 4 W.'],
  ['Swapped?', 'Swapped?'],
])('%s ends once', (text, whole) => expect(sentence(text)).toBe(whole))
