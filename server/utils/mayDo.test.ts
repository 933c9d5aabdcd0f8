import { describe, expect, it } from 'vitest'
import { ROLES, type Role } from '#shared/people'
import { mayDo } from './mayDo'

const of = (method: string, path: string) =>
  [null, ...ROLES].map(role => mayDo(role as Role | null, method, path))

describe('who may do what', () => {
  it.each([
    '/api/health',
    '/api/me',
    '/api/texts/en',
    '/api/sign-in',
    '/api/sign-in/pin',
    '/sets',
    '/_nuxt/a.js',
  ])('%s is open', path => expect(of('GET', path)).toEqual(Array(5).fill('open')))
  it('reading is for whoever is signed in', () => {
    expect(of('GET', '/api/jobs')).toEqual(['sign-in-needed', ...Array(4).fill('allowed')])
    expect(of('HEAD', '/api/readings.csv')).toEqual(['sign-in-needed', ...Array(4).fill('allowed')])
  })
  it('work is for owner and technician', () => {
    expect(of('POST', '/api/jobs')).toEqual([
      'sign-in-needed',
      'allowed',
      'allowed',
      'not-allowed',
      'not-allowed',
    ])
  })
  it('a trainee works on simulated sets', () => {
    expect(mayDo('trainee', 'POST', '/api/practice/free')).toBe('allowed')
    expect(mayDo('trainee', 'POST', '/api/jobs/1/events')).toBe('allowed')
    expect(mayDo('trainee', 'PATCH', '/api/jobs/1')).toBe('not-allowed')
    expect(mayDo('trainee', 'POST', '/api/practices')).toBe('not-allowed')
    expect(mayDo('reader', 'POST', '/api/practice/free')).toBe('not-allowed')
  })
  it('people are the business of the owner, one\u2019s own password is everybody\u2019s', () => {
    expect(of('GET', '/api/people')).toEqual(['sign-in-needed', 'allowed', ...Array(3).fill('not-allowed')])
    expect(of('GET', '/api/audit')).toEqual(['sign-in-needed', 'allowed', ...Array(3).fill('not-allowed')])
    expect(of('PUT', '/api/me/password')).toEqual(['sign-in-needed', ...Array(4).fill('allowed')])
  })
  it('nothing is open because it looks like something open', () => {
    for (const path of ['/api/healthy', '/api/me2', '/api/texts/en/x', '/api/sign-in/other', '/api/peoples'])
      expect(mayDo(null, 'GET', path)).toBe('sign-in-needed')
  })
})
