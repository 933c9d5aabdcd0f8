import { array, boolean, number, object, string, type InferType } from 'yup'
import { QUANTITY_NAMES, checkRange, type Quantity } from '#core/quantity'
import { CHANNEL_PLANS, MASK_END_HZ, MODES, type RuleLimit, type RuleSet } from '#core/rules'
import { CoreError } from '#core/errors'
import { UNKNOWN_FIELD } from './unknownField'
import { day } from './day'

/** Ids of sets of one's own begin so; no built-in one does. */
export const OWN_PREFIX = 'OWN-'

/** Most that any of these limits can be; a slip of the unit is refused [W]. */
const MAX_LIMIT_W = 10
const MAX_BELOW_DB = 120
const MAX_MASK_PARTS = 24

const bound = (label: string) => number().label(label).nullable().defined()

const limitNumber = string()
  .trim()
  .label('Number')
  .matches(/^[\w.+-]{1,20}$/, 'Number: letters, digits, + - . max. 20')
  .required()
const maxW = (label: string) =>
  number()
    .label(label)
    .typeError(`${label}: not a number`)
    .required(`${label}: a power is missing`)
    .moreThan(0, `${label}: above zero`)
    .max(MAX_LIMIT_W, `${label}: max. ${MAX_LIMIT_W} W`)

const maskPart = object({
  modes: array(string().oneOf(MODES).required())
    .label('Modes')
    .min(1, 'Emission mask: choose at least one mode for each part')
    .required(),
  fromHz: number()
    .typeError('Emission mask: "from" is not a number')
    .required('Emission mask: "from" is missing')
    .min(0, 'Emission mask: "from" starts at the channel centre')
    .max(MASK_END_HZ),
  toHz: number()
    .typeError('Emission mask: "to" is not a number')
    .required('Emission mask: "to" is missing')
    .max(MASK_END_HZ, `Emission mask: "to" max. ${MASK_END_HZ / 1000} kHz`)
    .when('fromHz', ([fromHz]: number[], schema) =>
      schema.moreThan(fromHz!, 'Emission mask: "to" is not above "from"'),
    ),
  belowDb: number()
    .typeError('Emission mask: "at least" is not a number')
    .required('Emission mask: "at least" is missing')
    .min(0, 'Emission mask: decibels down, not negative')
    .max(MAX_BELOW_DB, `Emission mask: max. ${MAX_BELOW_DB} dB`),
  addsPowerDb: boolean().required(),
}).noUnknown(true, UNKNOWN_FIELD)

/** One limit as the form has it: bounds in SI, error bounds about the channel centre. */
const limit = object({
  id: limitNumber,
  quantity: string<Quantity>().oneOf(QUANTITY_NAMES).required(),
  modes: array(string().oneOf(MODES).required()).label('Modes').defined(),
  lowPower: boolean().nullable().defined(),
  low: bound('Minimum'),
  high: bound('Maximum'),
  errorHz: bound('Error, Hz'),
  errorPpm: bound('Error, ppm'),
  words: string().trim().label('In words').max(300).required(),
})
  .noUnknown(true, UNKNOWN_FIELD)
  .test('has-a-bound', (value, context) => {
    const { low, high, errorHz, errorPpm, quantity } = value
    if ([low, high, errorHz, errorPpm].every(b => b === null))
      return context.createError({
        message: `Limit ${value.id}: a minimum, a maximum or an error is missing`,
      })
    if (low !== null && high !== null && low > high)
      return context.createError({ message: `Limit ${value.id}: the minimum is above the maximum` })
    try {
      for (const b of [low, high]) if (b !== null) checkRange(b, quantity)
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      return context.createError({ message: `Limit ${value.id}: ${error.message}` })
    }
    return true
  })

/** A rule set of one's own: every limit with its source and date, so that somebody can check it. */
export const ruleSetBody = object({
  name: string().trim().label('Name').max(80).required(),
  kind: string()
    .oneOf(['legal', 'workshop'] as const)
    .required(),
  region: string().trim().label('Region').max(200).required(),
  planId: string()
    .oneOf(CHANNEL_PLANS.map(p => p.id))
    .nullable()
    .defined(),
  source: string().trim().label('Source').max(300).required(),
  asOf: day('As of').required(),
  fromMemory: boolean().required(),
  note: string().trim().label('Remark').max(2000).defined(),
  limits: array(limit.required()).label('Limits').min(1).max(60).required(),
  mask: array(maskPart.required()).label('Emission mask').max(MAX_MASK_PARTS).defined(),
  adjacent: object({ id: limitNumber, maxW: maxW('Adjacent channel') })
    .noUnknown(true, UNKNOWN_FIELD)
    .nullable()
    .defined(),
  spurious: object({
    id: limitNumber,
    protectedMaxW: maxW('Spurious, protected bands'),
    otherMaxW: maxW('Spurious, elsewhere'),
  })
    .noUnknown(true, UNKNOWN_FIELD)
    .nullable()
    .defined(),
}).noUnknown(true, UNKNOWN_FIELD)

export type RuleSetBody = InferType<typeof ruleSetBody>
export type LimitBody = RuleSetBody['limits'][number]
export type MaskPartBody = RuleSetBody['mask'][number]

/** Sets that were kept before a rule set could have a mask and limits in watts have none. */
export function completeBody(kept: Partial<RuleSetBody>): RuleSetBody {
  return { mask: [], adjacent: null, spurious: null, ...kept } as RuleSetBody
}

export const ruleSetPatch = ruleSetBody
  .shape({ version: number().integer().min(1).required() })
  .noUnknown(true, UNKNOWN_FIELD)

/** A set of one's own as it travels: the set that everything is judged by, and what the form edits. */
export interface OwnRuleSet {
  readonly id: string
  readonly version: number
  readonly body: RuleSetBody
}

/** What judging needs of a set of one's own. */
export function toRuleSet({ id, body }: OwnRuleSet): RuleSet {
  const { note, limits, mask, adjacent, spurious, ...rest } = completeBody(body)
  return {
    ...rest,
    id,
    planId: rest.planId ?? null,
    alsoSays: note.split('\n').filter(line => line.trim() !== ''),
    limits: limits.map(l => toLimit(l, rest.source)),
    mask,
    adjacent: adjacent && { ...adjacent, confidence: 'practice' },
    spurious: spurious && { ...spurious, confidence: 'practice' },
  }
}

function toLimit(l: LimitBody, source: string): RuleLimit {
  const some = <K extends string>(key: K, value: number | null) =>
    value === null ? {} : ({ [key]: value } as Record<K, number>)
  return {
    id: l.id,
    quantity: l.quantity,
    words: l.words,
    source,
    confidence: 'practice',
    ...(l.lowPower === null ? {} : { lowPower: l.lowPower }),
    ...(l.modes.length > 0 ? { modes: l.modes } : {}),
    bound: {
      ...some('low', l.low),
      ...some('high', l.high),
      ...some('errorHz', l.errorHz),
      ...some('errorPpm', l.errorPpm),
    },
  }
}

/** A built-in set as a starting point for one's own. */
export function toBody(set: RuleSet): RuleSetBody {
  return {
    name: `${set.name}, own`,
    kind: set.kind,
    region: set.region,
    planId: set.planId,
    source: set.source,
    asOf: set.asOf,
    fromMemory: set.fromMemory,
    note: set.alsoSays.join('\n'),
    limits: set.limits.map(l => ({
      id: l.id,
      quantity: l.quantity,
      modes: [...(l.modes ?? [])],
      lowPower: l.lowPower ?? null,
      low: l.bound.low ?? null,
      high: l.bound.high ?? null,
      errorHz: l.bound.errorHz ?? null,
      errorPpm: l.bound.errorPpm ?? null,
      words: l.words,
    })),
    mask: set.mask.map(p => ({ ...p, modes: [...p.modes] })),
    adjacent: set.adjacent && { id: set.adjacent.id, maxW: set.adjacent.maxW },
    spurious: set.spurious && {
      id: set.spurious.id,
      protectedMaxW: set.spurious.protectedMaxW,
      otherMaxW: set.spurious.otherMaxW,
    },
  }
}
