// @vitest-environment happy-dom
import { afterEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { useCountdown } from '~/ui/useCountdown'

const inScope = <T>(make: () => T): T => effectScope().run(make)!

afterEach(() => {
  vi.useRealTimers()
})

describe('a clock for keys', () => {
  it('runs up and says when it is over', () => {
    vi.useFakeTimers()
    const clock = inScope(() => useCountdown(() => 5))
    expect([clock.running.value, clock.over.value]).toEqual([false, false])
    clock.start()
    vi.advanceTimersByTime(4900)
    expect([clock.over.value, clock.seconds.value]).toEqual([false, 4.9])
    vi.advanceTimersByTime(200)
    expect(clock.over.value).toBe(true)
    clock.reset()
    expect([clock.running.value, clock.seconds.value]).toEqual([false, 0])
  })
})
