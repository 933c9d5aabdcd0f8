import { t, type MessageCode } from '#shared/i18n'
import { array, boolean, number, object, string, type InferType } from '#shared/yup'
import { METER_KINDS, SETTING_NAMES, type SettingName } from '#core/instrument'
import { QUANTITY_NAMES, type Quantity } from '#core/quantity'
import { UNKNOWN_FIELD } from './unknownField'
import { day } from './day'

/** A host name or address as a socket takes it, or a serial port. */
const HOST = /^(?:[A-Za-z0-9.:_-]+|serial:\/dev\/(?!.*\.\.)[A-Za-z0-9/_.-]+)$/

/** Printable, one line: it goes to an instrument as it stands. */
const LINE = /^[\x20-\x7e]+$/
const MAX_LINES = 40
const query = () =>
  string()
    .trim()
    .max(120)
    .matches(LINE, () => t('form.onlyPrintableCharactersCanBeSent'))
const share = (name: MessageCode) => number().label(name).min(0).max(10)

/** How an instrument of one's own is asked and told. */
export const ownProfile = object({
  quantities: array(
    object({
      quantity: string<Quantity>().oneOf(QUANTITY_NAMES).required(),
      query: query().label('form.query').required(),
      toSi: number()
        .label('form.siValueNumberX')
        .required()
        .test(
          'scale',
          () => t('form.factorNotZero'),
          v => v !== 0,
        ),
      accuracy: object({
        ofReading: share('form.ofReading').optional(),
        ofFullScale: share('form.ofFullScale').optional(),
        fullScale: number().min(0).max(1e9).optional(),
        absolute: number().label('absolute').min(0).max(1e9).optional(),
      })
        .noUnknown(true, UNKNOWN_FIELD)
        .required(),
    }).noUnknown(true, UNKNOWN_FIELD),
  )
    .min(1)
    .max(MAX_LINES)
    .required(),
  settings: array(
    object({
      name: string<SettingName>().oneOf(SETTING_NAMES).required(),
      command: query()
        .label('form.command')
        .required()
        .matches(/\{value\}/, () => t('form.commandWriteInPlaceOfThe')),
      query: query().label('form.query').required(),
      toSi: number().required(),
      min: number().required(),
      max: number().required(),
    }).noUnknown(true, UNKNOWN_FIELD),
  )
    .max(MAX_LINES)
    .default([]),
}).noUnknown(true, UNKNOWN_FIELD)
export type OwnProfile = InferType<typeof ownProfile>

export const instrumentBody = object({
  name: string().trim().label('common.name').max(100).required(),
  profileId: string().label('form.profile').max(60).required(),
  host: string()
    .trim()
    .label('form.address')
    .max(253)
    .matches(HOST, () => t('form.addressAHostNameAnIp'))
    .required(),
  meterKind: string().label('form.kindOfMeter').oneOf(METER_KINDS).nullable().defined(),
  calibratedOn: day('form.calibrated').nullable().defined(),
  attenuationDb: number().label('form.externalAttenuation').min(0).max(120).required(),
  path: string().trim().label('form.sharedComponents').max(200).defined(),
  fullScale: number().label('form.fullScale').positive().max(5000).nullable().defined(),
  classRatio: number().label('form.classWord').min(0.001).max(0.5).nullable().default(null),
  classUnknown: boolean().label('form.classUnknown').default(false),
  port: number().label('form.port').integer().min(1).max(65_535).nullable().defined(),
}).noUnknown(true, UNKNOWN_FIELD)

export type InstrumentBody = InferType<typeof instrumentBody>

/** The version that a change was made from. */
const version = () => number().integer().min(1).max(2_147_483_647).required()
export const instrumentPatch = instrumentBody.shape({ version: version() }).noUnknown(true, UNKNOWN_FIELD)
/** ownProfile: null puts the shipped profile back */
export const profilePatch = object({
  ownProfile: ownProfile.nullable().defined(),
  version: version(),
}).noUnknown(true, UNKNOWN_FIELD)

/** ownProfile: null = as shipped */
export interface Instrument extends InstrumentBody {
  readonly id: string
  /** counts its changes */
  readonly version: number
  readonly ownProfile?: OwnProfile | null
}
