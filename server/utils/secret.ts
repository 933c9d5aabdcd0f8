import { createHash, randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto'

/** Costs that OWASP gives for scrypt (password storage sheet, from memory): 128 MB, tenths of a second. */
const COSTS: ScryptOptions = { N: 2 ** 17, r: 8, p: 1, maxmem: 256 * 1024 * 1024 }
const KEY_BYTES = 32
const SALT_BYTES = 16

const derived = (secret: string, salt: Buffer, costs: ScryptOptions) =>
  new Promise<Buffer>((resolve, reject) =>
    scrypt(secret.normalize('NFKC'), salt, KEY_BYTES, costs, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  )

/** A password or PIN as it is kept: "scrypt$N$r$p$salt$key", salt and key in base64. */
export async function hashed(secret: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES)
  const key = await derived(secret, salt, COSTS)
  return ['scrypt', COSTS.N, COSTS.r, COSTS.p, salt.toString('base64'), key.toString('base64')].join('$')
}

/** Whether a secret is the one that was kept. A null hash costs as much as one that does not fit. */
export async function isSecret(secret: string, kept: string | null): Promise<boolean> {
  const [, N, r, p, salt = '', key = ''] = (kept ?? (await nobody())).split('$')
  const costs = { ...COSTS, N: Number(N), r: Number(r), p: Number(p) }
  const found = await derived(secret, Buffer.from(salt, 'base64'), costs)
  const isEqual = timingSafeEqual(found, Buffer.from(key, 'base64'))
  return isEqual && kept !== null
}

/** The hash of a secret that nobody has. */
let noSecret: Promise<string> | null = null
const nobody = () => (noSecret ??= hashed(randomBytes(KEY_BYTES).toString('base64')))

/** What a browser holds, and what is kept of it. */
export const newToken = () => randomBytes(32).toString('base64url')
export const tokenHash = (token: string) => createHash('sha256').update(token).digest()
