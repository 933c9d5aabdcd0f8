import { describe, expect, it } from 'vitest'
import { isContradiction, isDatabaseAway, isUnfit } from './errors'

const failed = (code: string) => Object.assign(new Error('x'), { code })

describe('An error of the database', () => {
  it.each(['08006', '53100', '53200', '53300', '57P01', '58030', '25006', '40P01', 'ECONNREFUSED'])(
    '%s passes by itself: what waits is sent again',
    code => expect(isDatabaseAway(failed(code))).toBe(true),
  )
  it.each(['22003', '23505', '42P01', 'XX000'])('%s does not', code =>
    expect(isDatabaseAway(failed(code))).toBe(false),
  )
  it('of a value is none of a constraint', () => {
    expect([isUnfit(failed('22003')), isContradiction(failed('22003'))]).toEqual([true, false])
    expect([isUnfit(failed('23505')), isContradiction(failed('23505'))]).toEqual([false, true])
  })
})
