import { describe, expect, it } from 'vitest'
import { foreign, knownNames, type RequestOrigin } from './foreignRequest'

const NAMES = knownNames('bench.workshop, diapason')
const HOST = '127.0.0.1:3127'
const asked = (change: Partial<RequestOrigin>) =>
  foreign(
    {
      method: 'POST',
      path: '/api/jobs',
      host: HOST,
      origin: undefined,
      fetchSite: undefined,
      contentType: 'application/json',
      fetchDest: undefined,
      ...change,
    },
    NAMES,
  )

describe('A request', () => {
  it.each([
    ['of a page of ours', { origin: `http://${HOST}`, fetchSite: 'same-origin' }],
    ['of a page of ours that sends a text file', { origin: `http://${HOST}`, contentType: 'text/plain' }],
    ['of a tool', {}],
    ['typed into the browser', { method: 'GET', path: '/', fetchSite: 'none' }],
    [
      'that follows a link from elsewhere to a page',
      { method: 'GET', path: '/sets', fetchSite: 'cross-site' },
    ],
    [
      'that follows a link from elsewhere to a paper',
      { method: 'GET', path: '/api/jobs/x/handover.pdf', fetchSite: 'cross-site', fetchDest: 'document' },
    ],
    ['to a name of the workshop', { host: 'bench.workshop:3127' }],
    ['to an address of the bench network', { host: '192.168.1.20:3127' }],
    ['to an IPv6 address', { host: '[::1]:3127' }],
  ] as const)('%s goes on', (_, change) => expect(asked(change)).toBeNull())

  it.each([
    ['of another page', { origin: 'http://elsewhere.example' }, 'foreign-origin'],
    ['of a page on another port', { origin: 'http://127.0.0.1:9999' }, 'foreign-origin'],
    ['of a page without an origin', { origin: 'null' }, 'foreign-origin'],
    ['that the browser calls foreign', { fetchSite: 'cross-site' }, 'foreign-origin'],
    [
      'that embeds what the server says',
      { method: 'GET', path: '/api/live', fetchSite: 'cross-site' },
      'foreign-origin',
    ],
    ['to a name that points here from outside', { host: 'rebound.example' }, 'foreign-host'],
    ['without a host', { host: undefined }, 'foreign-host'],
    ['with something else for a host', { host: '127.0.0.1:80:80' }, 'foreign-host'],
    ['of a form, from nowhere', { contentType: 'text/plain;charset=UTF-8' }, 'foreign-type'],
    ['of a form with a file', { contentType: 'multipart/form-data; boundary=x' }, 'foreign-type'],
  ] as const)('%s is refused', (_, change, as) => expect(asked(change)).toBe(as))
})
