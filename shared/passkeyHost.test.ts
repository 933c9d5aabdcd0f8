import { describe, expect, it } from 'vitest'
import { namedHost } from './passkeyHost'

describe('namedHost', () => {
  it('is the name behind which a browser keeps passkeys', () => {
    expect(namedHost('https://bench.local:3443')).toBe('bench.local')
    expect(namedHost('http://localhost:3000')).toBe('localhost')
  })
  it.each(['http://127.0.0.1:3000', 'https://192.168.1.20:3443', 'https://[::1]:3443', 'http://bench.local'])(
    'is none for %s',
    origin => expect(namedHost(origin)).toBeNull(),
  )
  it('is none where nothing says where a page came from', () => {
    expect(namedHost('')).toBeNull()
    expect(namedHost('null')).toBeNull()
  })
})
