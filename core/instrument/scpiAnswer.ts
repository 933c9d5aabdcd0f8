import { message } from '../message'
import { CoreError } from '../errors'

/** SCPI's stand-ins for "not a number" and "overload". Source: SCPI-99 vol. 1, 7.2.1 (from memory). */
const NOT_A_NUMBER = 9.91e37
const INFINITY = 9.9e37

export type ScpiNumber =
  | { readonly status: 'ok'; readonly value: number }
  | { readonly status: 'no-signal' | 'overload'; readonly value: null }

const NUMERIC = /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d{1,3})?$/i

/**
 * One numeric SCPI answer.
 *
 * @param line the answer without its line end
 * @throws {CoreError} malformed-answer: anything that is not one number, with the beginning of what came
 * @example scpiNumber('+2.779125E+07') // => { status: 'ok', value: 27791250 }
 */
export function scpiNumber(line: string): ScpiNumber {
  const text = line.trim()
  if (!NUMERIC.test(text))
    throw new CoreError(
      'malformed-answer',
      message('error.notANumber', { text: text.slice(0, 40).replace(/[^\x20-\x7E]/g, '?') }),
    )
  const value = Number(text)
  if (near(value, NOT_A_NUMBER)) return { status: 'no-signal', value: null }
  if (near(Math.abs(value), INFINITY)) return { status: 'overload', value: null }
  if (!Number.isFinite(value))
    throw new CoreError('malformed-answer', message('error.tooLarge', { text: text.slice(0, 40) }))
  return { status: 'ok', value }
}

function near(value: number, mark: number): boolean {
  return Math.abs(value - mark) < mark * 1e-6
}
