import type { Author } from '#core/run'

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
  /** by which this machine opens its own pages, where that is known */
  readonly address: string | null
  /** rule set under which most sets of the workshop are used; null = as each model's sheet says */
  readonly ruleSetId: string | null
  readonly person: SignedIn | null
  /** who may sign in by PIN in this browser */
  readonly known: readonly Author[]
  /** somebody signs in by a passkey under the name by which this page was opened */
  readonly hasPasskeys: boolean
  /** a simulated bench runs here */
  readonly hasPractice: boolean
}

/** A key of a device by which somebody signs in, as its owner sees it. */
export interface Passkey {
  readonly id: string
  readonly name: string
  /** name of this server under which it works */
  readonly host: string
  readonly addedAtMs: number
  /** null = never */
  readonly usedAtMs: number | null
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
  'passkey-added',
  'passkey-removed',
  'link-made',
  'link-ended',
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
/** By which sheet an entry was made: while it waited in a browser the job may have changed its model. */
export const MADE_BY_SHEET = 'x-made-by-sheet'
export const NOBODY = 'nobody'

/** Shortest password (OWASP ASVS 4.0, 2.1.1, from memory). */
export const MIN_PASSWORD = 12
/** Longest one: a sentence, and no load for whoever hashes it. */
export const MAX_PASSWORD = 128
