import { describe, expect, it } from 'vitest'
import { parsedJson } from './jsonBody'

const refused = (text: string) => {
  try {
    return parsedJson(text)
  } catch (error) {
    return (error as { code: string }).code
  }
}
const nested = (levels: number) => '['.repeat(levels) + ']'.repeat(levels)

describe('A JSON body', () => {
  it.each([['{"a":[1,"x{[",null]}'], [nested(32)], ['"\\ud83d\\ude00"'], ['{"a":"[[[[["}']])(
    '%s is taken',
    text => expect(refused(text)).toEqual(JSON.parse(text)),
  )
  it.each([
    ['{', 'not-json'],
    ['', 'not-json'],
    [nested(33), 'cannot-be-kept'],
    [nested(60_000), 'cannot-be-kept'],
    ['['.repeat(200_000), 'cannot-be-kept'],
    ['{"a":"\\u0000"}', 'cannot-be-kept'],
    ['{"\\u0000":1}', 'cannot-be-kept'],
    ['["\\ud800"]', 'cannot-be-kept'],
    ['{"__proto__":{"a":1}}', 'cannot-be-kept'],
    ['{"a":{"toString":1}}', 'cannot-be-kept'],
    ['[{"valueOf":null}]', 'cannot-be-kept'],
  ])('%.20s is refused as %s', (text, code) => expect(refused(text)).toBe(code))
})
