import { setLocale, type LocaleObject } from 'yup'
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
const message =
  (code: MessageCode) =>
  (params: object): string => {
    const { path, ...values } = params as MessageParams
    return t(code, { ...values, path: fieldName(String(path)) })
  }

const locale: LocaleObject = {
  mixed: {
    default: message('yup.invalid'),
    required: message('yup.required'),
    defined: message('yup.defined'),
    notNull: message('yup.notNull'),
    oneOf: message('yup.oneOf'),
    notOneOf: message('yup.notOneOf'),
    notType: message('yup.notType'),
  },
  string: {
    length: message('yup.stringLength'),
    min: message('yup.stringMin'),
    max: message('yup.stringMax'),
    matches: message('yup.matches'),
    uuid: message('yup.uuid'),
  },
  number: {
    min: message('yup.numberMin'),
    max: message('yup.numberMax'),
    lessThan: message('yup.lessThan'),
    moreThan: message('yup.moreThan'),
    positive: message('yup.positive'),
    integer: message('yup.integer'),
  },
  boolean: { isValue: message('yup.isValue') },
  object: { noUnknown: message('yup.noUnknown') },
  array: {
    min: message('yup.arrayMin'),
    max: message('yup.arrayMax'),
    length: message('yup.arrayLength'),
  },
}
setLocale(locale)

export * from 'yup'
