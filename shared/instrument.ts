import { number, object, string, type InferType } from 'yup'
import { METER_KINDS, type InstrumentSetup } from '../core/instrument'
import { UNKNOWN_FIELD } from './unknownField'

const DAY = /^\d{4}-\d{2}-\d{2}$/
/** A host name or address as a socket takes it. */
const HOST = /^[A-Za-z0-9.:_-]+$/

export const instrumentBody = object({
  name: string().trim().label('Name').max(100).required(),
  profileId: string().label('Profile').max(60).required(),
  host: string().trim().label('Address').max(253).matches(HOST, 'Address: a host name or an IP address, nothing else').required(),
  meterKind: string().label('Kind of meter').oneOf(METER_KINDS).nullable().defined(),
  calibratedOn: string().label('Calibrated').nullable().defined().matches(DAY, { message: 'Calibrated: write the day as 2026-11-27', excludeEmptyString: true }),
  attenuationDb: number().label('Attenuation in front').min(0).max(120).required(),
  path: string().trim().label('Shares').max(200).defined(),
  fullScale: number().label('Full scale').positive().max(5000).nullable().defined(),
  port: number().label('Port').integer().min(1).max(65_535).nullable().defined(),
}).noUnknown(true, UNKNOWN_FIELD)

export type InstrumentBody = InferType<typeof instrumentBody>

export interface Instrument extends InstrumentBody { readonly id: string }

/** Setup of an instrument that nobody has described yet. */
export const BARE_INSTRUMENT = { meterKind: null, calibratedOn: null, attenuationDb: 0, path: '', fullScale: null } as const

/** What stands in front of it and which range it is on; what it shares is written with commas between. */
export function setupOf(i: Pick<InstrumentBody, 'meterKind' | 'calibratedOn' | 'attenuationDb' | 'path' | 'fullScale'>): InstrumentSetup {
  const { meterKind, calibratedOn, attenuationDb, path, fullScale } = i
  return { meterKind: meterKind ?? null, calibratedOn: calibratedOn || null, attenuationDb, fullScale, path: path.split(',').map(p => p.trim().toLowerCase()).filter(Boolean) }
}
