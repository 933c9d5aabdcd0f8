import { describe, expect, it } from 'vitest'
import { beatAdvice } from './zeroBeat'

describe('zero beat', () => {
  it('the beat itself: no tone is right', () => {
    expect(beatAdvice(null, 0, null)).toEqual({ offHz: 0, word: 'there' })
    expect(beatAdvice(0.6, 0, null)).toMatchObject({ word: 'there' })
    expect(beatAdvice(40, 0, null)).toMatchObject({ offHz: 40, word: 'touch' })
  })
  it('a touch finds the direction, since a tone has no sign', () => {
    expect(beatAdvice(30, 0, 40)).toMatchObject({ word: 'nearer' })
    expect(beatAdvice(50, 0, 40)).toMatchObject({ word: 'further' })
    expect(beatAdvice(40.2, 0, 40)).toMatchObject({ word: 'touch' })
  })
  it('a side tone to be met: equal tones, from either side', () => {
    expect(beatAdvice(600.4, 600, null)).toMatchObject({ word: 'there' })
    expect([beatAdvice(580, 600, 30)!.offHz, beatAdvice(620, 600, 30)!.offHz]).toEqual([20, 20])
    expect(beatAdvice(null, 600, null)).toBeNull()
  })
})
