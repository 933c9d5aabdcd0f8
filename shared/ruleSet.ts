import { errorWords } from '#shared/words/messageWords'
import { t, type MessageCode } from '#shared/i18n'
import { fieldName, array, boolean, number, object, string, type InferType } from '#shared/yup'
import { QUANTITY_NAMES, checkRange, type Quantity } from '#core/quantity'
import { CHANNEL_PLANS, MASK_END_HZ, MODES } from '#core/rules'
import { CoreError } from '#core/errors'
import { UNKNOWN_FIELD } from './unknownField'
import { day } from './day'

/** Ids of sets of one's own begin so; no built-in one does. */
export const OWN_PREFIX = 'OWN-'

/** Most that any of these limits can be; a slip of the unit is refused [W]. */
const MAX_LIMIT_W = 10
const MAX_BELOW_DB = 120
const MAX_MASK_PARTS = 24

const bound = (label: MessageCode) => number().label(label).nullable().defined()

const limitNumber = string()
  .trim()
  .label('form.number')
  .matches(/^[\w.+-]{1,20}$/, () => t('form.numberLettersDigitsMax20'))
  .required()
const maxW = (label: MessageCode) =>
  number()
    .label(label)
    .typeError(() => t('form.notANumber', { label: fieldName(label) }))
    .required(() => t('form.aPowerIsMissing', { label: fieldName(label) }))
    .moreThan(0, () => t('form.aboveZero', { label: fieldName(label) }))
    .max(MAX_LIMIT_W, () => t('form.maxW', { label: fieldName(label), maxW: MAX_LIMIT_W }))

const maskPart = object({
  modes: array(string().oneOf(MODES).required())
    .label('form.modes')
    .min(1, () => t('form.emissionMaskChooseAtLeastOne'))
    .required(),
  fromHz: number()
    .typeError(() => t('form.emissionMaskFromIsNotA'))
    .required(() => t('form.emissionMaskFromIsMissing'))
    .min(0, () => t('form.emissionMaskFromStartsAtThe'))
    .max(MASK_END_HZ),
  toHz: number()
    .typeError(() => t('form.emissionMaskToIsNotA'))
    .required(() => t('form.emissionMaskToIsMissing'))
    .max(MASK_END_HZ, () => t('form.emissionMaskToMaxKhz', { maskendhz: MASK_END_HZ / 1000 }))
    .when('fromHz', ([fromHz]: number[], schema) =>
      schema.moreThan(fromHz!, () => t('form.emissionMaskToIsNotAbove')),
    ),
  belowDb: number()
    .typeError(() => t('form.emissionMaskAtLeastIsNot'))
    .required(() => t('form.emissionMaskAtLeastIsMissing'))
    .min(0, () => t('form.emissionMaskDecibelsDownNotNegative'))
    .max(MAX_BELOW_DB, () => t('form.emissionMaskMaxDb', { maxbelowdb: MAX_BELOW_DB })),
  addsPowerDb: boolean().required(),
}).noUnknown(true, UNKNOWN_FIELD)

/** One limit as the form has it: bounds in SI, error bounds about the channel centre. */
const limit = object({
  id: limitNumber,
  quantity: string<Quantity>().oneOf(QUANTITY_NAMES).required(),
  modes: array(string().oneOf(MODES).required()).label('form.modes').defined(),
  lowPower: boolean().nullable().defined(),
  low: bound('form.minimum'),
  high: bound('form.maximum'),
  errorHz: bound('form.errorHz'),
  errorPpm: bound('form.errorPpm'),
  words: string().trim().label('form.inWords').max(300).required(),
})
  .noUnknown(true, UNKNOWN_FIELD)
  .test('has-a-bound', (value, context) => {
    const { low, high, errorHz, errorPpm, quantity } = value
    if ([low, high, errorHz, errorPpm].every(b => b === null))
      return context.createError({
        message: t('form.limitAMinimumAMaximumOr', { id: value.id }),
      })
    if (low !== null && high !== null && low > high)
      return context.createError({ message: t('form.limitTheMinimumIsAboveThe', { id: value.id }) })
    try {
      for (const b of [low, high]) if (b !== null) checkRange(b, quantity)
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      return context.createError({ message: t('form.limit', { id: value.id, message: errorWords(error) }) })
    }
    return true
  })

/** A rule set of one's own: every limit with its source and date, so that somebody can check it. */
export const ruleSetBody = object({
  name: string().trim().label('common.name').max(80).required(),
  kind: string()
    .oneOf(['legal', 'workshop'] as const)
    .required(),
  region: string().trim().label('form.region').max(200).required(),
  planId: string()
    .oneOf(CHANNEL_PLANS.map(p => p.id))
    .nullable()
    .defined(),
  source: string().trim().label('common.source').max(300).required(),
  asOf: day('form.asOf').required(),
  fromMemory: boolean().required(),
  note: string().trim().label('form.remark').max(2000).defined(),
  limits: array(limit.required()).label('form.limits').min(1).max(60).required(),
  mask: array(maskPart.required()).label('form.emissionMask').max(MAX_MASK_PARTS).defined(),
  adjacent: object({ id: limitNumber, maxW: maxW('form.adjacentChannel') })
    .noUnknown(true, UNKNOWN_FIELD)
    .nullable()
    .defined(),
  spurious: object({
    id: limitNumber,
    protectedMaxW: maxW('form.spuriousProtectedBands'),
    otherMaxW: maxW('form.spuriousElsewhere'),
  })
    .noUnknown(true, UNKNOWN_FIELD)
    .nullable()
    .defined(),
}).noUnknown(true, UNKNOWN_FIELD)

export type RuleSetBody = InferType<typeof ruleSetBody>
export type LimitBody = RuleSetBody['limits'][number]
export type MaskPartBody = RuleSetBody['mask'][number]

export const ruleSetPatch = ruleSetBody
  .shape({ version: number().integer().min(1).required() })
  .noUnknown(true, UNKNOWN_FIELD)

/** A set of one's own as it travels: the set that everything is judged by, and what the form edits. */
export interface OwnRuleSet {
  readonly id: string
  readonly version: number
  readonly body: RuleSetBody
}
