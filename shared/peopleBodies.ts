import { t } from '#shared/i18n'
import { boolean, number, object, string, uuid } from '#shared/yup'
import { MAX_PASSWORD, MIN_PASSWORD, ROLES } from './people'
import { UNKNOWN_FIELD } from './unknownField'

const PIN = /^\d{4,8}$/

const name = () => string().trim().label('people.name').min(1).max(60).required()
/** One that is about to be set: long enough, and not the name of whoever it belongs to. */
const newPassword = () =>
  string()
    .label('people.password')
    .min(MIN_PASSWORD)
    .max(MAX_PASSWORD)
    .required()
    .test(
      'not-the-name',
      () => t('people.passwordIsTheName'),
      (value, context) => {
        const of = (context.parent as { name?: string }).name?.trim().toLowerCase()
        return !of || value.toLowerCase().replaceAll(of, '').length >= MIN_PASSWORD / 2
      },
    )
/** One that is only compared: what is wrong with it is nobody's business. */
export const anyPassword = () => string().label('people.password').max(MAX_PASSWORD).required()
const pin = () =>
  string()
    .label('people.pin')
    .matches(PIN, () => t('people.pinForm'))
const ruleSetId = () => string().label('common.ruleSet').min(1).max(20).nullable()
/** Who entered something, as it is kept. */
export const authorBody = object({ personId: uuid(), name: name() }).noUnknown(true, UNKNOWN_FIELD)

export const firstStartBody = object({
  workshop: string().trim().label('people.workshop').min(1).max(120).required(),
  owner: object({ name: name(), password: newPassword() })
    .noUnknown(true, UNKNOWN_FIELD)
    .nullable()
    .defined(),
  ruleSetId: ruleSetId().optional(),
}).noUnknown(true, UNKNOWN_FIELD)
/** null = as each model's sheet says */
export const usualRulesBody = object({ ruleSetId: ruleSetId().defined() }).noUnknown(true, UNKNOWN_FIELD)
export const signInBody = object({ name: name(), password: anyPassword() }).noUnknown(true, UNKNOWN_FIELD)
export const pinSignInBody = object({ personId: uuid(), pin: pin().required() }).noUnknown(
  true,
  UNKNOWN_FIELD,
)
export const personBody = object({
  id: uuid(),
  name: name(),
  role: string().oneOf(ROLES).required(),
  password: newPassword(),
}).noUnknown(true, UNKNOWN_FIELD)
export const personChangeBody = object({
  name: name(),
  role: string().oneOf(ROLES).required(),
  active: boolean().required(),
  version: number().integer().min(1).required(),
}).noUnknown(true, UNKNOWN_FIELD)
export const passwordBody = object({ password: newPassword() }).noUnknown(true, UNKNOWN_FIELD)
export const ownPasswordBody = object({ old: anyPassword(), password: newPassword() }).noUnknown(
  true,
  UNKNOWN_FIELD,
)
/** pin null = none any more */
export const ownPinBody = object({ password: anyPassword(), pin: pin().nullable().defined() }).noUnknown(
  true,
  UNKNOWN_FIELD,
)
