import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible'
import { t } from '#shared/i18n'
import { ApiError } from './apiError'

const WITHIN_S = 15 * 60
/** Wrong ones of one name, by password and by PIN; and of one address, whatever the names. */
const byPassword = new RateLimiterMemory({ points: 10, duration: WITHIN_S })
const byPin = new RateLimiterMemory({ points: 5, duration: WITHIN_S })
/** Challenges for passkeys: each is kept until it is answered or too old. */
const challenges = new RateLimiterMemory({ points: 30, duration: 60 })
const byAddress = new RateLimiterMemory({ points: 60, duration: WITHIN_S })

/** Lets an address ask for a challenge, unless it asked too often. @throws {ApiError} too-many-tries */
export const isAsked = (address: string): Promise<void> => counted(challenges, address)

/**
 * Lets somebody try a secret, unless too many tries were wrong. Each try counts until it turns out right, so
 * that many at once are no way around.
 * @param who name that is tried, or id with the browser @param address where the request comes from
 * @throws {ApiError} too-many-tries; whatever `isRight` throws
 */
export async function attempt(
  kind: 'password' | 'pin' | 'passkey',
  who: string,
  address: string,
  isRight: () => Promise<boolean>,
): Promise<boolean> {
  const ofName = kind === 'pin' ? byPin : byPassword
  const key = kind === 'pin' ? who : who.trim().toLowerCase()
  await Promise.all([counted(byAddress, address), counted(ofName, key)])
  const right = await isRight()
  if (right) await Promise.all([ofName.delete(key), byAddress.reward(address, 1)])
  return right
}

async function counted(limiter: RateLimiterMemory, key: string): Promise<void> {
  try {
    await limiter.consume(key, 1)
  } catch (refused) {
    if (refused instanceof Error) throw refused
    const minutes = Math.ceil((refused as RateLimiterRes).msBeforeNext / 60_000)
    throw new ApiError(429, 'too-many-tries', t('server.tooManyTries', { minutes }))
  }
}
