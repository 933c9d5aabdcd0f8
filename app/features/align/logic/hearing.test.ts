// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import type { KeyDownView } from '#core/run'
import { runState } from '#core/run'
import { ruleSet } from '#core/rules'
import { modelSheet } from '#core/sheet'
import { useHearing } from './useHearing'
import { useKeyAlarm } from './useKeyAlarm'
import { useListen } from './useListen'
import { useSpeak } from './useSpeak'

/** A browser's audio as far as these use it: what was set stays where it can be read. */
class FakeAudio {
  static readonly made: FakeAudio[] = []
  readonly currentTime = 0
  readonly destination = {}
  readonly oscillators: {
    frequency: { value: number; setTargetAtTime: (v: number) => void }
    started: boolean
    stopped: boolean
  }[] = []
  readonly gains: { gain: { value: number } }[] = []
  constructor() {
    FakeAudio.made.push(this)
  }
  resume = () => Promise.resolve()
  close = () => Promise.resolve()
  createOscillator() {
    const frequency = {
      value: 0,
      setTargetAtTime: (v: number) => {
        frequency.value = v
      },
    }
    const o = {
      frequency,
      started: false,
      stopped: false,
      connect: <T>(to: T) => to,
      start: () => {
        o.started = true
      },
      stop: () => {
        o.stopped = true
      },
    }
    this.oscillators.push(o)
    return o
  }
  createGain() {
    const gain = {
      value: 0,
      setTargetAtTime: (v: number) => {
        gain.value = v
      },
      setValueAtTime: () => {},
      linearRampToValueAtTime: () => {},
    }
    const g = { gain, connect: <T>(to: T) => to }
    this.gains.push(g)
    return g
  }
}
const inScope = <T>(make: () => T) => {
  const scope = effectScope()
  return { ...scope.run(make)!, close: () => scope.stop() }
}

beforeEach(() => {
  localStorage.clear()
  FakeAudio.made.length = 0
  vi.useFakeTimers()
  vi.stubGlobal('AudioContext', FakeAudio)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('listening', () => {
  it(
    'the middle of the scale is 440 Hz, each half of it an octave, ' +
      'up and down alike; without a reading it is still',
    async () => {
      const position = ref<number | null>(0)
      const listen = inScope(() => useListen(position))
      listen.toggle()
      const [audio] = FakeAudio.made
      const pitch = () => audio!.oscillators[0]!.frequency.value
      expect(pitch()).toBe(440)
      const heard: number[] = []
      for (const p of [0.5, 0, -0.5, 0, 0.5]) {
        position.value = p
        await nextTick()
        heard.push(pitch())
      }
      expect(heard).toEqual([880, 440, 220, 440, 880])
      position.value = 5
      await nextTick()
      expect(pitch()).toBe(1760)
      expect(audio!.gains[0]!.gain.value).toBeGreaterThan(0)
      position.value = null
      await nextTick()
      expect(audio!.gains[0]!.gain.value).toBe(0)
      listen.toggle()
      expect(audio!.oscillators[0]!.stopped).toBe(true)
    },
  )
  it('how loud is remembered', async () => {
    const listen = inScope(() => useListen(ref(0)))
    listen.toggle()
    listen.volume.value = 1
    await nextTick()
    const loud = FakeAudio.made[0]!.gains[0]!.gain.value
    listen.volume.value = 0.5
    await nextTick()
    expect(FakeAudio.made[0]!.gains[0]!.gain.value).toBeCloseTo(loud / 4, 6)
    expect(inScope(() => useListen(ref(0))).volume.value).toBe(0.5)
  })
})

describe('speaking', () => {
  const voices = (n: number) => {
    const said: string[] = []
    const listeners: (() => void)[] = []
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        constructor(readonly text: string) {}
      },
    )
    vi.stubGlobal('speechSynthesis', {
      speaking: false,
      getVoices: () => Array.from({ length: n }),
      speak: (u: { text: string }) => said.push(u.text),
      cancel: () => {},
      addEventListener: (_n: string, f: () => void) => listeners.push(f),
    })
    return said
  }
  it('at the interval that was chosen, nothing while there is no reading', async () => {
    const said = voices(1)
    let words: string | null = '3.8 W'
    const speak = inScope(() => useSpeak(() => words))
    expect(speak.hasVoice.value).toBe(true)
    vi.advanceTimersByTime(10_000)
    expect(said).toEqual([])
    speak.everyS.value = 4
    await nextTick()
    vi.advanceTimersByTime(8100)
    words = null
    vi.advanceTimersByTime(8000)
    expect(said).toEqual(['3.8 W', '3.8 W'])
    expect(localStorage.getItem('diapason-speak-every')).toBe('4')
  })
  it('a browser without a voice says so and stays still', async () => {
    const said = voices(0)
    const speak = inScope(() => useSpeak(() => '1'))
    speak.everyS.value = 2
    await nextTick()
    vi.advanceTimersByTime(9000)
    expect([speak.hasVoice.value, said]).toEqual([false, []])
  })
})

describe('the reading for the ear', () => {
  it('while peaking the tone stands in the middle where the step began, and follows by octaves', async () => {
    const FM = modelSheet('osmund-27f')
    const state = runState(FM, ruleSet('R-UK27'), []).steps.find(s => s.step.id === 'A1.8')!
    const value = ref<number | null>(2)
    const position = ref('A1.8 ch20')
    const hearing = inScope(() =>
      useHearing({
        position: () => position.value,
        value: () => value.value,
        quantity: () => 'powerW',
        want: () => state.wants[0]!,
      }),
    )
    hearing.toggle()
    const pitch = () => FakeAudio.made[0]!.oscillators[0]!.frequency.value
    expect(pitch()).toBe(440)
    value.value = 4
    await nextTick()
    expect(pitch()).toBe(440 * 4)
    value.value = 2
    await nextTick()
    expect(pitch()).toBe(440)
  })
})

describe('the alarm of the key-down clock', () => {
  const view = ref<KeyDownView>({ phase: 'keyed', seconds: 1, limitS: 20 })
  const beeps = () => FakeAudio.made[0]?.oscillators.length ?? 0
  it('warns twice before the limit and does not stop past it, until the key is let go', async () => {
    const alarm = inScope(() => useKeyAlarm(view))
    view.value = { phase: 'warn', seconds: 16, limitS: 20 }
    await nextTick()
    expect(beeps()).toBe(2)
    view.value = { phase: 'over', seconds: 20, limitS: 20 }
    await nextTick()
    vi.advanceTimersByTime(2000)
    expect(beeps()).toBeGreaterThanOrEqual(6)
    view.value = { phase: 'rest', seconds: 40, limitS: 20 }
    await nextTick()
    const then = beeps()
    vi.advanceTimersByTime(5000)
    expect(beeps()).toBe(then)
    alarm.toggle()
    view.value = { phase: 'keyed', seconds: 0, limitS: 20 }
    await nextTick()
    view.value = { phase: 'warn', seconds: 16, limitS: 20 }
    await nextTick()
    expect([beeps(), localStorage.getItem('diapason-key-alarm')]).toEqual([then, 'off'])
  })
})
