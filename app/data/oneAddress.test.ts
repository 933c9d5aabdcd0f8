import { describe, expect, it } from 'vitest'
import { sameByOwnName } from './oneAddress'

describe('one address of one machine', () => {
  const OWN = 'http://127.0.0.1:3000'
  it('leads from another name of this machine to its own, with path, query and place on the page', () => {
    expect(sameByOwnName('http://localhost:3000/jobs/7/align?step=A1#rows', OWN)).toBe(
      'http://127.0.0.1:3000/jobs/7/align?step=A1#rows',
    )
    expect(sameByOwnName('http://[::1]:3000/', OWN)).toBe('http://127.0.0.1:3000/')
    expect(sameByOwnName('http://127.0.0.1:3000/', 'http://[::1]:3000')).toBe('http://[::1]:3000/')
  })
  it('leaves alone what is right, and what another machine or a proxy serves', () => {
    for (const href of [
      'http://127.0.0.1:3000/',
      'http://bench.local:3000/',
      'http://192.168.1.7:3000/',
      'http://localhost:8080/',
      'https://localhost:3000/',
    ])
      expect(sameByOwnName(href, OWN), href).toBeNull()
    expect(sameByOwnName('http://localhost:3000/', null)).toBeNull()
  })
})
