// @vitest-environment happy-dom
import { afterEach, describe, expect, it, vi } from 'vitest'
import { effectScope, ref } from 'vue'
import type { JobEvent } from '#core/run'
import { SCREEN, useJobLive } from '~/features/job/logic/useJobLive'

const inScope = <T>(make: () => T): T => effectScope().run(make)!

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('the line of a job', () => {
  /** The browser's event source, as far as it is used. */
  class FakeSource {
    static readonly made: FakeSource[] = []
    readonly on = new Map<string, (e: { data: string }) => void>()
    closed = false
    constructor(readonly url: string) {
      FakeSource.made.push(this)
    }
    addEventListener(name: string, tell: (e: { data: string }) => void) {
      this.on.set(name, tell)
    }
    close() {
      this.closed = true
    }
    tell(name: string, data: unknown = '') {
      this.on.get(name)?.({ data: JSON.stringify(data) })
    }
  }
  const page = {
    visibilityState: 'visible',
    looked: [] as (() => void)[],
    addEventListener: (_n: string, f: () => void) => page.looked.push(f),
    removeEventListener: () => {},
  }
  const make = () => {
    FakeSource.made.length = 0
    page.visibilityState = 'visible'
    vi.stubGlobal('EventSource', FakeSource)
    vi.stubGlobal('document', page)
    const taken: JobEvent[] = []
    let again = 0
    const live = inScope(() =>
      useJobLive(
        ref('job-1'),
        e => taken.push(e),
        () => void again++,
      ),
    )
    live.connect()
    return { live, taken, again: () => again, source: () => FakeSource.made.at(-1)! }
  }
  it('passes on what is kept elsewhere and where the other screen is, but not its own position', () => {
    const { live, taken, source } = make()
    source().tell('hello')
    source().tell('event', { event: { id: 'a', kind: 'note' } })
    source().tell('position', { position: { stepId: 'A1.5', pointId: 'ch20', screen: SCREEN } })
    expect([live.connected.value, taken.map(e => e.id), live.position.value]).toEqual([true, ['a'], null])
    source().tell('position', { position: { stepId: 'A1.5', pointId: 'ch20', screen: 'other' } })
    expect(live.position.value!.stepId).toBe('A1.5')
  })
  it('lost, it comes back by itself and everything is read again', () => {
    vi.useFakeTimers()
    const { again, source, live } = make()
    source().tell('hello')
    expect(again()).toBe(0)
    source().tell('error')
    expect(live.connected.value).toBe(false)
    vi.advanceTimersByTime(2500)
    source().tell('hello')
    expect([FakeSource.made.length, again()]).toEqual([2, 1])
  })
  it('is given back while nobody looks at the page', () => {
    const { source } = make()
    page.visibilityState = 'hidden'
    page.looked.forEach(f => f())
    expect(source().closed).toBe(true)
    page.visibilityState = 'visible'
    page.looked.forEach(f => f())
    expect(FakeSource.made.filter(s => !s.closed).length).toBeGreaterThan(0)
  })
})
