import { t, type MessageCode } from '#shared/i18n'
import type { AuditAction, Role } from '#shared/people'

const ROLE_WORDS: Readonly<Record<Role, MessageCode>> = {
  owner: 'people.roleOwner',
  technician: 'people.roleTechnician',
  trainee: 'people.roleTrainee',
  reader: 'people.roleReader',
}
const ROLE_HINTS: Readonly<Record<Role, MessageCode>> = {
  owner: 'people.roleOwnerHint',
  technician: 'people.roleTechnicianHint',
  trainee: 'people.roleTraineeHint',
  reader: 'people.roleReaderHint',
}
const ACTION_WORDS: Readonly<Record<AuditAction, MessageCode>> = {
  'workshop-set-up': 'people.actionSetUp',
  'signed-in': 'people.actionSignedIn',
  'sign-in-failed': 'people.actionSignInFailed',
  'signed-out': 'people.actionSignedOut',
  'person-added': 'people.actionPersonAdded',
  'person-changed': 'people.actionPersonChanged',
  'person-barred': 'people.actionPersonBarred',
  'password-changed': 'people.actionPasswordChanged',
  'pin-changed': 'people.actionPinChanged',
  'passkey-added': 'people.actionPasskeyAdded',
  'passkey-removed': 'people.actionPasskeyRemoved',
  'link-made': 'people.actionLinkMade',
  'link-ended': 'people.actionLinkEnded',
}
export const roleWords = (role: Role): string => t(ROLE_WORDS[role])
export const roleHint = (role: Role): string => t(ROLE_HINTS[role])
export const actionWords = (action: AuditAction): string => t(ACTION_WORDS[action])
