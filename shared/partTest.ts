import { t } from '#shared/i18n'
import { array, boolean, number, object, string, uuid } from '#shared/yup'
import { DC_RESULTS, HEATS, PART_FIGURES, PART_KINDS, type PartFigureId } from '#core/run'
import { partFigureUnit } from '#core/work'
import { amount, short, text, unit } from './eventFields'
import { UNKNOWN_FIELD } from './unknownField'

/** No figure of a part is beyond what it can mean: a value typed in another unit is told at once. */
const figure = object({
  figure: string().oneOf(PART_FIGURES).required(),
  value: number()
    .label('form.figureOfPart')
    .min(0)
    .required()
    .test(
      'meant',
      () => t('form.figureTooLarge'),
      (value, { parent }) => {
        const { figure: id } = parent as { figure: PartFigureId }
        return !PART_FIGURES.includes(id) || value === undefined || value <= partFigureUnit(id).max
      },
    ),
  low: unit('form.ofItsTypeFrom', 1e12),
  high: unit('form.ofItsTypeTo', 1e12).when('low', ([low], schema) =>
    typeof low === 'number' ? schema.min(low) : schema,
  ),
}).noUnknown(true, UNKNOWN_FIELD)

/** Fields of the test of one part; what its kind has no test for stays empty. */
export const PART_TESTED = {
  part: short('form.part').required(),
  partKind: string().oneOf(PART_KINDS).optional(),
  boughtAt: short('form.boughtFrom').defined(),
  lot: short('form.lot'),
  dcResult: string()
    .nullable()
    .oneOf([...DC_RESULTS, null]),
  figures: array(figure.required()).max(PART_FIGURES.length).optional(),
  dcGain: unit('form.dcGain', 10_000),
  rfPowerW: unit('form.rfPower', 2000),
  rfReferenceW: unit('form.referencePower', 2000),
  gainFrom: amount('form.gainOfItsTypeFrom', 10_000).nullable(),
  gainTo: amount('form.gainOfItsTypeTo', 10_000).nullable(),
  testSet: short('form.testSet'),
  meter: short('common.meter'),
  scale: short('form.scale'),
  supplyV: amount('form.supplyVoltage', 100).nullable(),
  supplyA: amount('form.supplyCurrent', 60).nullable(),
  keyedS: amount('form.secondsKeyed', 600).nullable(),
  fallsWhileKeyed: boolean().nullable().defined(),
  heat: string().oneOf(HEATS).nullable().defined(),
  text: text('form.note').defined(),
}

/** A test of a part that belongs to no job: the same fields as on one. */
export const partTestedBody = object({
  id: uuid(),
  atMs: number().integer().min(0).max(8.64e15).required(),
  kind: string().oneOf(['part-tested']).required(),
  ...PART_TESTED,
}).noUnknown(true, UNKNOWN_FIELD)
