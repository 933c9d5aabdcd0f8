import type { Author } from '#core/run'
import { t } from '#shared/i18n'
import { boolean, number, object, string, uuid } from '#shared/yup'
import { UNKNOWN_FIELD } from './unknownField'

/** What somebody may do: everything; all work; simulated sets only; look only. */
export const ROLES = ['owner', 'technician', 'trainee', 'reader'] as const
export type Role = (typeof ROLES)[number]

/** Who is signed in. */
export interface SignedIn extends Author {
  readonly role: Role
}

/** What a page has to know before it shows anything. */
export interface Me {
  /** false = the first start is still to come */
  readonly isSetUp: boolean
  /** false = whoever sits at this machine is let in */
  readonly signIn: boolean
  readonly workshop: string
  readonly person: SignedIn | null
  /** who may sign in by PIN in this browser */
  readonly known: readonly Author[]
}

/** Somebody of the workshop, as its owner sees them. */
export interface Person {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly active: boolean
  readonly hasPin: boolean
  readonly version: number
}

export const AUDIT_ACTIONS = [
  'workshop-set-up',
  'signed-in',
  'sign-in-failed',
  'signed-out',
  'person-added',
  'person-changed',
  'person-barred',
  'password-changed',
  'pin-changed',
] as const
export type AuditAction = (typeof AUDIT_ACTIONS)[number]

export interface AuditEntry {
  readonly atMs: number
  readonly action: AuditAction
  readonly name: string
  /** somebody's name, or by what it was tried */
  readonly about: string
  /** what somebody may do from then on */
  readonly role: Role | null
}

/** Head of a request: id of whoever entered what it carries, which may have waited; or that nobody knows. */
export const ENTERED_BY = 'x-entered-by'
export const NOBODY = 'nobody'

/** Shortest password (OWASP ASVS 4.0, 2.1.1, from memory). */
export const MIN_PASSWORD = 12
const MAX_PASSWORD = 128
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
const anyPassword = () => string().label('people.password').max(MAX_PASSWORD).required()
const pin = () =>
  string()
    .label('people.pin')
    .matches(PIN, () => t('people.pinForm'))
/** Who entered something, as it is kept. */
export const authorBody = object({ personId: uuid(), name: name() }).noUnknown(true, UNKNOWN_FIELD)

export const firstStartBody = object({
  workshop: string().trim().label('people.workshop').min(1).max(120).required(),
  owner: object({ name: name(), password: newPassword() })
    .noUnknown(true, UNKNOWN_FIELD)
    .nullable()
    .defined(),
}).noUnknown(true, UNKNOWN_FIELD)
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
