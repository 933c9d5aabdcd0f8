import { describe, expect, it } from 'vitest'
import { forecast } from './forecast'

const WINDOW = { low: 3.6, high: 4, aim: 3.8 }
const asked = (window: typeof WINDOW | { low: number; high: null; aim: null }) => ({
  window,
  limit: null,
  nominalHz: null,
})

describe('what an instrument can decide', () => {
  it('is nothing where nothing is asked', () => {
    expect(forecast({ window: null, limit: null, nominalHz: null }, { ofReading: 0.01 })).toBeNull()
  })
  it('takes a bound that is clearly smaller than the tolerance, not one as large', () => {
    expect(forecast(asked(WINDOW), { absolute: 0.1 })!.resolves).toBe(true)
    expect(forecast(asked(WINDOW), { absolute: 0.3 })!.resolves).toBe(false)
    expect(forecast(asked(WINDOW), { absolute: 0.39 })!.resolves).toBe(false)
  })
  it('has no width to resolve where the tolerance has one side', () => {
    expect(forecast(asked({ low: 3.6, high: null, aim: null }), { absolute: 3 })!.resolves).toBe(true)
  })
})
