import { t, type MessageCode } from '#shared/i18n'
import { ApiError } from './apiError'

/** Deeper than any sheet or row of readings. */
const MAX_DEPTH = 32

/**
 * A JSON text as it may be kept: nesting that no checker chokes on, and only characters that a database and a
 * paper can hold. Told before it is parsed where parsing itself would be the harm.
 * @param notJson what is said of a text that is none
 * @throws {ApiError} not-json, cannot-be-kept
 */
export function parsedJson(text: string, notJson: MessageCode = 'server.theRequestBodyIsNotJson'): unknown {
  if (depthOf(text) > MAX_DEPTH)
    throw new ApiError(400, 'cannot-be-kept', t('server.bodyTooDeep', { max: MAX_DEPTH }))
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new ApiError(400, 'not-json', t(notJson))
  }
  return keepable(value)
}

/**
 * @returns the same value
 * @throws {ApiError} cannot-be-kept
 */
export function keepable<T>(value: T): T {
  if (!isKeepable(value)) throw new ApiError(400, 'cannot-be-kept', t('server.charactersThatCannotBeKept'))
  return value
}

/** Levels of brackets outside of strings; no more are counted than are needed to refuse. */
function depthOf(text: string): number {
  let depth = 0
  let deepest = 0
  let inString = false
  for (let i = 0; i < text.length && deepest <= MAX_DEPTH; i++) {
    const c = text[i]
    if (inString) {
      if (c === '\\') i++
      else if (c === '"') inString = false
    } else if (c === '"') inString = true
    else if (c === '{' || c === '[') deepest = Math.max(deepest, ++depth)
    else if (c === '}' || c === ']') depth--
  }
  return deepest
}

function isKeepable(value: unknown): boolean {
  if (typeof value === 'string') return isText(value)
  if (typeof value !== 'object' || value === null) return true
  // Of a list the fields have no names: asking for them costs a minute of everybody's time with a long one.
  if (Array.isArray(value)) return value.every(isKeepable)
  return Object.entries(value).every(([key, v]) => isText(key) && !isOfEveryObject(key) && isKeepable(v))
}
/**
 * A field that stands in the place of what every object can do: whoever writes such a value into a sentence
 * calls it.
 */
const isOfEveryObject = (key: string) => key in Object.prototype
/** PostgreSQL keeps neither NUL nor half of a surrogate pair. */
const isText = (text: string) => text.isWellFormed() && !text.includes('\0')
