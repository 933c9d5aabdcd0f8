import { expect, it } from 'vitest'
import { array, number, object, string, uuid } from './yup'

const NAME = 'common.model'
const wrong = (schema: { validateSync: (v: unknown, o: object) => unknown }, value: unknown) => {
  try {
    schema.validateSync(value, { strict: true })
  } catch (error) {
    return (error as Error).message
  }
  return ''
}

it.each([
  ['spaces around it', string().label(NAME).trim(), ' Tern 5'],
  ['nothing but spaces', string().label(NAME).trim().min(1), '  '],
  ['nothing', string().label(NAME).required(), ''],
  ['a number', string().label(NAME), 5],
  ['too long', string().label(NAME).max(2), 'abc'],
  ['none of these', string().label(NAME).oneOf(['a']), 'b'],
  ['no id', uuid().label(NAME), 'X'],
  ['an id in capitals', uuid().label(NAME), '0B5C9E0E-5C0F-4C7B-9E52-0D3F4C6A1B2D'],
  ['half a one', number().label(NAME).integer(), 0.5],
  ['less than nothing', number().label(NAME).positive(), -1],
  ['too many', array().label(NAME).max(1), [1, 2]],
  ['a field that nobody knows', object({}).label(NAME).noUnknown(), { x: 1 }],
])('%s is refused in words that name the field', (_, schema, value) => {
  const said = wrong(schema, value)
  expect(said).toContain('Model')
  expect(said).not.toContain('common.')
})
