import { setLocale, string, type LocaleObject } from 'yup'
import { hasMessage, t, type MessageCode, type MessageParams } from '#shared/i18n'

/**
 * Yup with messages of the catalogue: schemas import it from here, so that their own texts and those of yup
 * speak the language of the page or the request. A label of a field is the code of its name.
 */

/** Name of a field as its label says it; a field without a label is called as it is in the request. */
export function fieldName(label: string): string {
  return hasMessage(label) ? t(label) : label
}

/** A message of yup by its code; yup gives what stands in its braces. */
const textOf =
  (code: MessageCode) =>
  (params: object): string => {
    const { path, ...values } = params as MessageParams
    return t(code, { ...values, path: fieldName(String(path)) })
  }

const locale: LocaleObject = {
  mixed: {
    default: textOf('yup.invalid'),
    required: textOf('yup.required'),
    defined: textOf('yup.defined'),
    notNull: textOf('yup.notNull'),
    oneOf: textOf('yup.oneOf'),
    notOneOf: textOf('yup.notOneOf'),
    notType: textOf('yup.notType'),
  },
  string: {
    length: textOf('yup.stringLength'),
    min: textOf('yup.stringMin'),
    max: textOf('yup.stringMax'),
    matches: textOf('yup.matches'),
    uuid: textOf('yup.uuid'),
    trim: textOf('yup.trim'),
  },
  number: {
    min: textOf('yup.numberMin'),
    max: textOf('yup.numberMax'),
    lessThan: textOf('yup.lessThan'),
    moreThan: textOf('yup.moreThan'),
    positive: textOf('yup.positive'),
    integer: textOf('yup.integer'),
  },
  boolean: { isValue: textOf('yup.isValue') },
  object: { noUnknown: textOf('yup.noUnknown') },
  array: {
    min: textOf('yup.arrayMin'),
    max: textOf('yup.arrayMax'),
    length: textOf('yup.arrayLength'),
  },
}
setLocale(locale)

export * from 'yup'

/** An id as the database gives it back: one in capitals would come back as another text than it was sent. */
export const uuid = () => string().uuid().lowercase(textOf('yup.uuid')).required()
