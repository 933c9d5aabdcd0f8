import { t, type MessageCode } from '#shared/i18n'
import { fieldName, array, boolean, number, object, string, type AnyObject, type Schema } from '#shared/yup'
import { QUANTITY_NAMES } from '#core/quantity'
import { MODES } from '#core/rules'
import { AUDIOS, BOARD_SIDES, COVERAGES } from '#core/sheet'
import { UNKNOWN_FIELD } from '../unknownField'

/** Short ways to write the schema of a sheet; strict: what is not named is refused by name. */
export const closed = <T extends AnyObject>(fields: T) => object(fields).noUnknown(true, UNKNOWN_FIELD)
export const words = (label: MessageCode, most = 2000) => string().label(label).max(most).defined()
export const named = (label: MessageCode, most = 200) =>
  string().trim().label(label).min(1).max(most).required()
/** A name, or nothing at all: an empty one is no name. */
export const nameOrNone = (label: MessageCode, most: number) =>
  string().trim().label(label).min(1).max(most).optional()
export const orNothing = (label: MessageCode, most = 2000) =>
  string().label(label).max(most).nullable().defined()
export const list = <T extends Schema>(of: T, most: number) => array(of).max(most).defined()
export const finite = (label: MessageCode) =>
  number()
    .label(label)
    .test(
      'finite',
      () => t('form.mustBeANumber', { label: fieldName(label) }),
      v => v === undefined || v === null || Number.isFinite(v),
    )
export const figure = (label: MessageCode) => finite(label).required()
export const figureOrNothing = (label: MessageCode) => finite(label).nullable().defined()
export const ratio = (label: MessageCode) => number().label(label).min(0).max(1).required()
export const quantity = () => string().label('common.quantity').oneOf(QUANTITY_NAMES).required()
export const mode = () => string().label('common.mode').oneOf(MODES).required()
export const side = () => string().label('form.side').oneOf(BOARD_SIDES)
export const yes = () => boolean().defined()

export const boardPosition = () =>
  closed({
    x: ratio('form.positionAcross'),
    y: ratio('form.positionDown'),
    side: side().optional(),
  }).required()

const window = closed({
  low: figureOrNothing('form.minimum'),
  high: figureOrNothing('form.maximum'),
  aim: figureOrNothing('form.target'),
}).required()
const aroundNominal = {
  lowHz: figure('form.lowestError'),
  highHz: figure('form.highestError'),
  aimHz: figure('form.target'),
}
const TARGETS: Readonly<Record<string, AnyObject>> = {
  'window': { window },
  'channel-error': { ...aroundNominal, offsetHz: finite('form.offsetOfTheTone').optional() },
  'nominal-error': { ...aroundNominal, nominalHz: figure('form.nominal') },
  'like-reading': {
    stepId: named('form.step', 20),
    quantity: quantity(),
    lowRatio: figure('form.lowestRatio'),
    highRatio: figure('form.highestRatio'),
  },
  'above-reading': {
    stepId: named('form.step', 20),
    pointId: named('form.row', 40),
    quantity: quantity(),
    low: figure('form.minimum'),
    high: figure('form.maximum'),
    aim: figure('form.target'),
  },
}

const state = closed({
  mode: mode(),
  channel: number().integer().min(1).max(400).nullable().defined(),
  keyed: yes(),
  lowPower: yes(),
  powerPosition: nameOrNone('form.powerPosition', 60),
  toneHz: number().min(0).max(1e5).nullable().defined(),
  audio: string().oneOf(AUDIOS).optional(),
  toneV: number().min(0).max(10).nullable().defined(),
  inputV: number().min(0).max(10).nullable().defined(),
  coverage: string().oneOf(COVERAGES).required(),
  setting: words('form.setting', 200),
  also: orNothing('form.also', 300),
}).required()

const menu = closed({
  radix: number().oneOf([10, 16]).required(),
  decimals: number().integer().min(0).max(4).required(),
  min: figure('form.minimumMenuValue'),
  max: figure('form.maximumMenuValue'),
})
const want = closed({
  quantity: quantity(),
  target: oneOfKinds('form.target', TARGETS, true),
  judgeLimit: yes(),
  menu: menu.default(undefined).optional(),
}).required()

export const measurePoint = closed({
  id: named('form.row', 40),
  title: named('form.title'),
  state,
  wants: list(want, 20),
  isOptional: boolean().isTrue().optional(),
}).required()

/** An object whose "kind" decides its other fields. */
export function oneOfKinds(label: MessageCode, kinds: Readonly<Record<string, AnyObject>>, orNull = false) {
  const schemas = Object.fromEntries(
    Object.entries(kinds).map(([kind, fields]) => [
      kind,
      closed({ kind: string().oneOf([kind]).required(), ...fields }).required(),
    ]),
  )
  const start = object().label(label)
  return (orNull ? start.nullable().defined() : start.required()).test(
    'kind',
    () => t('form.unknownKind', { label: fieldName(label) }),
    async function (value: unknown) {
      if (value === null || value === undefined) return orNull && value === null
      const schema = schemas[(value as { kind?: string }).kind ?? '']
      if (!schema)
        return this.createError({
          message: t('form.isNotAKnownKind', {
            label: fieldName(label),
            kind: String((value as { kind?: unknown }).kind),
          }),
        })
      try {
        await schema.validate(value, { strict: true })
        return true
      } catch (error) {
        return this.createError({ message: (error as Error).message })
      }
    },
  )
}
