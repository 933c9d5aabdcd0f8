import { array, boolean, number, object, string, type AnyObject, type Schema } from 'yup'
import { QUANTITY_NAMES } from '#core/quantity'
import { MODES } from '#core/rules'
import { BOARD_SIDES, COVERAGES } from '#core/sheet'
import { UNKNOWN_FIELD } from '../unknownField'

/** Short ways to write the schema of a sheet; strict: what is not named is refused by name. */
export const closed = <T extends AnyObject>(fields: T) => object(fields).noUnknown(true, UNKNOWN_FIELD)
export const words = (label: string, most = 2000) => string().label(label).max(most).defined()
export const named = (label: string, most = 200) => string().trim().label(label).min(1).max(most).required()
export const orNothing = (label: string, most = 2000) => string().label(label).max(most).nullable().defined()
export const list = <T extends Schema>(of: T, most: number) => array(of).max(most).defined()
export const finite = (label: string) =>
  number()
    .label(label)
    .test('finite', `${label}: a number`, v => v === undefined || v === null || Number.isFinite(v))
export const figure = (label: string) => finite(label).required()
export const figureOrNothing = (label: string) => finite(label).nullable().defined()
export const ratio = (label: string) => number().label(label).min(0).max(1).required()
export const quantity = () => string().label('Quantity').oneOf(QUANTITY_NAMES).required()
export const mode = () => string().label('Mode').oneOf(MODES).required()
export const side = () => string().label('Side').oneOf(BOARD_SIDES)
export const yes = () => boolean().defined()

export const place = () =>
  closed({ x: ratio('Position, across'), y: ratio('Position, down'), side: side().optional() }).required()

const window = closed({
  low: figureOrNothing('Minimum'),
  high: figureOrNothing('Maximum'),
  aim: figureOrNothing('Target'),
}).required()
const aroundNominal = {
  lowHz: figure('Lowest error'),
  highHz: figure('Highest error'),
  aimHz: figure('Target'),
}
const TARGETS: Readonly<Record<string, AnyObject>> = {
  'window': { window },
  'channel-error': { ...aroundNominal, offsetHz: finite('Offset of the tone').optional() },
  'nominal-error': { ...aroundNominal, nominalHz: figure('Nominal') },
  'like-reading': {
    stepId: named('Step', 20),
    quantity: quantity(),
    lowRatio: figure('Lowest ratio'),
    highRatio: figure('Highest ratio'),
  },
  'above-reading': {
    stepId: named('Step', 20),
    pointId: named('Row', 40),
    quantity: quantity(),
    low: figure('Minimum'),
    high: figure('Maximum'),
    aim: figure('Target'),
  },
}

const state = closed({
  mode: mode(),
  channel: number().integer().min(1).max(400).nullable().defined(),
  keyed: yes(),
  lowPower: yes(),
  toneHz: number().min(0).max(1e5).nullable().defined(),
  toneV: number().min(0).max(10).nullable().defined(),
  inputV: number().min(0).max(10).nullable().defined(),
  coverage: string().oneOf(COVERAGES).required(),
  setting: words('Setting', 200),
  also: orNothing('Also', 300),
}).required()

const menu = closed({
  radix: number().oneOf([10, 16]).required(),
  decimals: number().integer().min(0).max(4).required(),
  min: figure('Minimum menu value'),
  max: figure('Maximum menu value'),
})
const want = closed({
  quantity: quantity(),
  target: oneOfKinds('Target', TARGETS, true),
  judgeLimit: yes(),
  menu: menu.default(undefined).optional(),
}).required()

export const measurePoint = closed({
  id: named('Row', 40),
  title: named('Title'),
  state,
  wants: list(want, 20),
}).required()

/** An object whose "kind" decides its other fields. */
export function oneOfKinds(label: string, kinds: Readonly<Record<string, AnyObject>>, orNull = false) {
  const schemas = Object.fromEntries(
    Object.entries(kinds).map(([kind, fields]) => [
      kind,
      closed({ kind: string().oneOf([kind]).required(), ...fields }).required(),
    ]),
  )
  const start = object().label(label)
  return (orNull ? start.nullable().defined() : start.required()).test(
    'kind',
    `${label}: unknown kind`,
    async function (value: unknown) {
      if (value === null || value === undefined) return orNull && value === null
      const schema = schemas[(value as { kind?: string }).kind ?? '']
      if (!schema)
        return this.createError({
          message: `${label}: "${String((value as { kind?: unknown }).kind)}" is not a known kind`,
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
