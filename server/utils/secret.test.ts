import { describe, expect, it } from 'vitest'
import { hashed, isSecret, newToken, tokenHash } from './secret'

describe('a secret', () => {
  it('is known again by its hash, and no other one is', async () => {
    const kept = await hashed('two locks and a weir')
    expect(await isSecret('two locks and a weir', kept)).toBe(true)
    expect(await isSecret('two locks and a weiR', kept)).toBe(false)
    expect(kept).not.toContain('weir')
  })
  it('is kept another way each time, so that equal ones do not show', async () => {
    expect(await hashed('same')).not.toBe(await hashed('same'))
  })
  it('typed in another form of the same letters is the same', async () => {
    expect(await isSecret('caf\u00e9 del puerto', await hashed('cafe\u0301 del puerto'))).toBe(true)
  })
  it('of nobody fits nothing', async () => {
    expect(await isSecret('', null)).toBe(false)
  })
  it('is checked with the costs that it was kept with (RFC 7914, section 12)', async () => {
    // scrypt("pleaseletmein", "SodiumChloride", N 16384, r 8, p 1), its first 32 bytes.
    const salt = Buffer.from('SodiumChloride').toString('base64')
    const key = Buffer.from('7023bdcb3afd7348461c06cd81fd38ebfda8fbba904f8e3ea9b543f6545da1f2', 'hex')
    expect(await isSecret('pleaseletmein', `scrypt$16384$8$1$${salt}$${key.toString('base64')}`)).toBe(true)
  })
})

it('a token is long, and only its hash is kept', () => {
  const tokens = new Set(Array.from({ length: 100 }, newToken))
  expect(tokens.size).toBe(100)
  for (const token of tokens) expect(Buffer.from(token, 'base64url').length).toBe(32)
  expect(tokenHash('a').equals(tokenHash('a'))).toBe(true)
  expect(tokenHash('a').equals(tokenHash('b'))).toBe(false)
})
