import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import { describe, expect, it } from 'vitest'
import en from '../i18n/en'
import es from '../i18n/es'
import { textsByCode } from '../shared/i18n'
import { productSources, quoted, textUses } from './textUses'

const ENGLISH = textsByCode(en)
const SPANISH = textsByCode(es)

/** Names in the braces of an ICU text. @throws {SyntaxError} when it is none */
function namesIn(text: string): string[] {
  const names = new Set<string>()
  const walk = (elements: MessageFormatElement[]): void => {
    for (const e of elements) {
      if (e.type !== TYPE.literal && e.type !== TYPE.pound) names.add(String(e.value))
      if (e.type === TYPE.plural || e.type === TYPE.select)
        Object.values(e.options).forEach(option => walk(option.value))
    }
  }
  walk(parse(text, { ignoreTag: true }))
  return [...names].sort()
}

/** Words that the trade writes alike in both languages. */
const ALIKE = new Set(
  'diapason error nominal base factor plan preselector trimmer normal meter ppm log rel esc png svg transistor'.split(
    ' ',
  ),
)

describe('the catalogue of messages', () => {
  const sources = productSources()
  const uses = textUses(sources)

  it('has every message that is asked for, and no other', () => {
    const known = new Set(Object.keys(ENGLISH))
    const written = quoted(sources)
    expect(uses.filter(u => !known.has(u.code)).map(u => `${u.file}: ${u.code}`)).toEqual([])
    expect([...known].filter(code => !written.has(code))).toEqual([])
  })

  it('is given exactly what stands in the braces', () => {
    const wrong = uses.flatMap(({ file, code, given }) => {
      const wanted = namesIn(ENGLISH[code]!)
      return given === null || JSON.stringify([...given].sort()) === JSON.stringify(wanted)
        ? []
        : [`${file}: ${code} takes ${wanted.join(', ')}, is given ${given.join(', ')}`]
    })
    expect(wrong).toEqual([])
  })

  it('says everything in Spanish too, of the same things', () => {
    expect(Object.keys(SPANISH).sort()).toEqual(Object.keys(ENGLISH).sort())
    const differing = Object.entries(ENGLISH).filter(
      ([code, text]) => namesIn(text).join() !== namesIn(SPANISH[code]!).join(),
    )
    expect(differing.map(([code]) => code)).toEqual([])
  })

  it('leaves nothing English in Spanish', () => {
    const words = (text: string) => text.replace(/\{[^{}]*\}/g, '').match(/[A-Za-z]{3,}/g) ?? []
    const same = Object.entries(ENGLISH).filter(
      ([code, text]) =>
        SPANISH[code] === text && words(text).some(w => w !== w.toUpperCase() && !ALIKE.has(w.toLowerCase())),
    )
    expect(same.map(([code, text]) => `${code}: ${text}`)).toEqual([])
  })
})
