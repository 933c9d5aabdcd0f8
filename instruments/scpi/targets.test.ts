import { networkInterfaces } from 'node:os'
import { describe, expect, it } from 'vitest'
import { targetsOf } from './targets'

const reach = async (list: string, host: string, port = 5025, simulated = '') => {
  try {
    return await targetsOf(list, simulated).addressOf({ host, port })
  } catch (error) {
    return (error as { code?: string }).code
  }
}

describe('where instruments may be', () => {
  it.each(['192.168.1.20', '10.1.2.3', '172.20.0.9', 'fd12:3456::1'])('%s: a private network', async host => {
    expect(await reach('', host)).toBe(host)
  })
  it.each([
    ['127.0.0.1', 'this machine'],
    ['127.8.8.8', 'this machine'],
    ['::1', 'this machine'],
    ['::ffff:127.0.0.1', 'this machine, as IPv6 writes it'],
    ['0.0.0.0', 'this machine'],
    ['::', 'this machine'],
    ['localhost', 'this machine by name'],
    ['169.254.169.254', 'where rented machines tell their secrets'],
    ['::ffff:169.254.169.254', 'the same, as IPv6 writes it'],
    ['172.32.0.1', 'beyond the private network'],
    ['192.0.2.7', 'the Internet'],
    ['2001:db8::1', 'the Internet'],
  ])('%s is none: %s', async host => {
    expect(await reach('', host)).toBe('not-allowed')
  })
  it('is not this machine by its address on the network either', async () => {
    const own = Object.values(networkInterfaces())
      .flatMap(i => i ?? [])
      .filter(i => i.family === 'IPv4' && !i.internal)
    for (const { address } of own) {
      expect(await reach(`${address}/8`, address)).toBe('not-allowed')
      expect(await reach(address, address)).toBe(address)
    }
    expect(await reach('127.0.0.0/8', '127.0.0.1')).toBe('not-allowed')
  })
  it('is what is listed and nothing else: networks, machines, single services', async () => {
    const list = '192.0.2.0/24, 203.0.113.7 127.0.0.1:5025 [::1]:5026'
    expect(await reach(list, '192.0.2.200')).toBe('192.0.2.200')
    expect(await reach(list, '203.0.113.7', 80)).toBe('203.0.113.7')
    expect(await reach(list, '127.0.0.1', 5025)).toBe('127.0.0.1')
    expect(await reach(list, '127.0.0.1', 5432)).toBe('not-allowed')
    expect(await reach(list, '::1', 5026)).toBe('::1')
    expect(await reach(list, '::1', 5025)).toBe('not-allowed')
    expect(await reach(list, '10.1.2.3')).toBe('not-allowed')
  })
  it('is the simulated bench too, by its ports', async () => {
    expect(await reach('', '127.0.0.1', 4001, '127.0.0.1:4000,127.0.0.1:4001')).toBe('127.0.0.1')
    expect(await reach('', '127.0.0.1', 4002, '127.0.0.1:4000,127.0.0.1:4001')).toBe('not-allowed')
  })
  it('is told when the list cannot be read, and when a name leads nowhere', async () => {
    for (const bad of ['192.168.0.0/33', 'fe80::/129', 'bench.local', '1.2.3', '10.0.0.1/', '10.0.0.1:x'])
      expect(() => targetsOf(bad), bad).toThrow(bad)
    expect(await reach('', 'no-such-host.invalid')).toBe('not-reachable')
  })
})
