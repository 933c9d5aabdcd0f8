import { number, object, string, type InferType } from 'yup'
import { UNKNOWN_FIELD } from './unknownField'

/** A host name or address as a socket takes it. */
const HOST = /^[A-Za-z0-9.:_-]+$/

export const instrumentBody = object({
  name: string().trim().label('Name').max(100).required(),
  profileId: string().label('Profile').max(60).required(),
  host: string().trim().label('Address').max(253).matches(HOST, 'Address: a host name or an IP address, nothing else').required(),
  port: number().label('Port').integer().min(1).max(65_535).nullable().defined(),
}).noUnknown(true, UNKNOWN_FIELD)

export type InstrumentBody = InferType<typeof instrumentBody>

export interface Instrument extends InstrumentBody { readonly id: string }
