import {
  startAuthentication,
  startRegistration,
  WebAuthnError,
  type AuthenticationResponseJSON,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/browser'
import { t } from '#shared/i18n'
import { InWords } from '~/data/failureWords'

/** Lets the device make a passkey. @throws {InWords} */
export async function made(
  options: PublicKeyCredentialCreationOptionsJSON,
): Promise<RegistrationResponseJSON> {
  try {
    return await startRegistration({ optionsJSON: options })
  } catch (error) {
    const isThere =
      error instanceof WebAuthnError && error.code === 'ERROR_AUTHENTICATOR_PREVIOUSLY_REGISTERED'
    throw new InWords(t(isThere ? 'people.passkeyIsThere' : 'people.passkeyStopped'))
  }
}

/** Lets the device sign in by a passkey that it has. @throws {InWords} */
export async function answered(
  options: PublicKeyCredentialRequestOptionsJSON,
): Promise<AuthenticationResponseJSON> {
  try {
    return await startAuthentication({ optionsJSON: options })
  } catch {
    throw new InWords(t('people.passkeyNotRead'))
  }
}
