// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import type { RunPosition } from '#shared/jobLive'
import { useFollowing } from './useFollowing'

const inScope = <T>(make: () => T): T => effectScope().run(make)!

beforeEach(() => localStorage.clear())

afterEach(() => {
  vi.unstubAllGlobals()
})

describe('two screens of one run', () => {
  const make = (width: number) => {
    vi.stubGlobal('innerWidth', width)
    const at = ref({ stepId: 'A1.3', pointId: 'pin' })
    const told = ref<RunPosition | null>(null)
    const sent: RunPosition[] = []
    const gone: string[] = []
    const follow = inScope(() =>
      useFollowing(
        () => at.value,
        told,
        p => sent.push(p),
        (s, p) => gone.push(`${s}/${p}`),
      ),
    )
    return { at, told, sent, gone, follow }
  }
  it('a phone follows by itself, a screen on the bench does not', async () => {
    const [phone, bench] = [make(390), make(1280)]
    const position = { stepId: 'A1.5', pointId: 'ch20', screen: 'other' }
    phone.told.value = bench.told.value = position
    await nextTick()
    expect([phone.gone, bench.gone]).toEqual([['A1.5/ch20'], []])
    bench.follow.toggle()
    await nextTick()
    expect(bench.gone).toEqual(['A1.5/ch20'])
  })
  it('tells where it went, but not what it was told', async () => {
    const s = make(1280)
    s.at.value = { stepId: 'A1.5', pointId: 'ch20' }
    await nextTick()
    expect(s.sent.map(p => p.stepId)).toEqual(['A1.5'])
    s.told.value = { stepId: 'A1.7', pointId: 'ch1', screen: 'other' }
    s.at.value = { stepId: 'A1.7', pointId: 'ch1' }
    await nextTick()
    expect(s.sent).toHaveLength(1)
  })
})
