import { onBeforeUnmount, ref } from 'vue'

/** What is played: one tone, or the two of an SSB test. */
export interface ToneSetting {
  readonly hz: readonly number[]
  readonly levelV: number
}

const GLIDE_S = 0.01

/**
 * Tones from the sound card. Its output is set once against a millivoltmeter; from then on levels are volts.
 * @param fullScaleV rms of one tone at full scale, as it was measured; null = not set yet: levels are then
 * shares of full scale
 */
export function useToneSource() {
  const playing = ref<ToneSetting | null>(null)
  let context: AudioContext | null = null
  let parts: { oscillator: OscillatorNode; gain: GainNode }[] = []

  /** @returns false when the level is more than the card gives */
  function play(setting: ToneSetting, fullScaleV: number | null): boolean {
    const size = setting.levelV / (fullScaleV ?? 1)
    if (size > 1 || !(size >= 0)) return false
    context ??= new AudioContext()
    void context.resume()
    silence()
    parts = setting.hz.map(hz => {
      const oscillator = context!.createOscillator()
      const gain = context!.createGain()
      oscillator.frequency.value = hz
      gain.gain.value = 0
      // Two tones share the level: their crest is that of one.
      gain.gain.setTargetAtTime(size / setting.hz.length, context!.currentTime, GLIDE_S)
      oscillator.connect(gain).connect(context!.destination)
      oscillator.start()
      return { oscillator, gain }
    })
    playing.value = setting
    return true
  }

  function silence() {
    for (const { oscillator, gain } of parts) {
      gain.gain.setTargetAtTime(0, context!.currentTime, GLIDE_S)
      oscillator.stop(context!.currentTime + 10 * GLIDE_S)
    }
    parts = []
    playing.value = null
  }

  onBeforeUnmount(() => {
    silence()
    void context?.close()
  })
  return { playing, play, silence }
}
