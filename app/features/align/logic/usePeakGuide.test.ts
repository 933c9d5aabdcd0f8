// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { usePeakGuide, type NeedleReading } from './usePeakGuide'

const inScope = <T>(make: () => T): T => effectScope().run(make)!

describe('the guide to the peak', () => {
  it('tells which way the level goes and how far below the best it stands', async () => {
    const reading = ref<NeedleReading | null>(null)
    const peak = inScope(() => usePeakGuide(reading, () => reading.value!.value))
    peak.begin()
    let t = 0
    const hold = async (value: number, seconds: number) => {
      for (let i = 0; i < seconds * 10; i++) {
        reading.value = { atMs: (t += 100), value }
        await nextTick()
      }
    }
    await hold(2, 4)
    reading.value = { atMs: (t += 100), value: 2.4 }
    await nextTick()
    expect(peak.trend.value).toBe('up')
    await hold(2.4, 4)
    await hold(2, 4)
    expect(peak.last.value!.word).toBe('turn-back')
    expect(peak.belowDb.value).toBeCloseTo(10 * Math.log10(2.4 / 2), 1)
    expect(peak.best.value).toBeCloseTo(2.4, 9)
    peak.end()
    expect(peak.on.value).toBe(false)
  })
})
