import type { AuthenticationResponseJSON, RegistrationResponseJSON } from '@simplewebauthn/server'
import { array, number, object, string, uuid, type Schema } from '#shared/yup'
import { anyPassword } from './peopleBodies'
import { UNKNOWN_FIELD } from './unknownField'

/** Longest part of an answer of a device; a statement about the device stays far below. */
const MAX_PART = 20_000
const BASE64URL = /^[\w-]+$/
const part = () => string().max(MAX_PART).matches(BASE64URL)
const credential = () => ({
  id: part().max(1400).required(),
  rawId: part().max(1400).required(),
  type: string().oneOf(['public-key']).required(),
  authenticatorAttachment: string().max(40).nullable().optional(),
  // What a browser adds is not asked for, and not read.
  clientExtensionResults: object().required(),
})

/** What a device answers who made a passkey (W3C Web Authentication, RegistrationResponseJSON). */
const registration = object({
  ...credential(),
  response: object({
    clientDataJSON: part().required(),
    attestationObject: part().required(),
    authenticatorData: part().optional(),
    transports: array(string().max(40).required()).max(10).optional(),
    publicKeyAlgorithm: number().integer().optional(),
    publicKey: part().optional(),
  }).noUnknown(true, UNKNOWN_FIELD),
}).noUnknown(true, UNKNOWN_FIELD) as unknown as Schema<RegistrationResponseJSON>

/** What a device answers who signs in (W3C Web Authentication, AuthenticationResponseJSON). */
export const passkeySignInBody = object({
  ...credential(),
  response: object({
    clientDataJSON: part().required(),
    authenticatorData: part().required(),
    signature: part().required(),
    userHandle: part().nullable().optional(),
  }).noUnknown(true, UNKNOWN_FIELD),
}).noUnknown(true, UNKNOWN_FIELD) as unknown as Schema<AuthenticationResponseJSON>

export const passkeyOfferBody = object({ password: anyPassword() }).noUnknown(true, UNKNOWN_FIELD)
export const newPasskeyBody = object({
  id: uuid(),
  name: string().trim().label('people.passkeyName').min(1).max(60).required(),
  response: registration,
}).noUnknown(true, UNKNOWN_FIELD)
