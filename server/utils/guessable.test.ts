import { beforeAll, describe, expect, it } from 'vitest'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'
import { ApiError } from './apiError'
import { refuseGuessable } from './guessable'

beforeAll(provideEveryLanguage)

describe('refuseGuessable', () => {
  const KNOWN = ['Mirela Quist', 'Weirside Bench']
  // Rows of keys, repetitions, the most used password with a year, and the names that are known here.
  it.each([
    'qwertyuiop12',
    'aaaaaaaaaaaaaa',
    'password2026',
    '123456789012',
    'MirelaQuist1',
    'weirsidebench',
  ])('refuses %s', password => expect(() => refuseGuessable(password, KNOWN)).toThrow(ApiError))
  it.each(['two locks and a weir', 'barges go by at noon', 'abcd-k7mn-pq2r-9xyz', 'ñandú, grúa y compás'])(
    'lets %s pass',
    password => expect(() => refuseGuessable(password, KNOWN)).not.toThrow(),
  )
})
