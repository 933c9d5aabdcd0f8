import { useLocalStorage } from '@vueuse/core'
import { onBeforeUnmount, ref, watch, type Ref } from 'vue'

const MIDDLE_HZ = 440
/** Pitch moves two octaves either way over the scale. */
const OCTAVES = 2
const GLIDE_S = 0.05
const KEY = 'diapason-listen-volume'
const LOUDEST = 0.35

/**
 * The reading as a tone: its pitch follows the position on the scale, -1..1, up and down alike; null is
 * silence. It goes on with the screen off.
 */
export function useListen(position: Ref<number | null>) {
  const on = ref(false)
  const volume = useLocalStorage(KEY, 0.4)
  let context: AudioContext | null = null
  let tone: { oscillator: OscillatorNode; gain: GainNode } | null = null

  function toggle() {
    on.value = !on.value
    if (on.value) start()
    else stop()
  }

  function start() {
    context ??= new AudioContext()
    void context.resume()
    const oscillator = context.createOscillator()
    const gain = context.createGain()
    gain.gain.value = 0
    oscillator.connect(gain).connect(context.destination)
    oscillator.start()
    tone = { oscillator, gain }
    follow(position.value)
  }

  function stop() {
    tone?.oscillator.stop()
    tone = null
  }

  function follow(value: number | null) {
    if (!tone || !context) return
    const clamped = Math.max(-1, Math.min(1, value ?? 0))
    tone.oscillator.frequency.setTargetAtTime(
      MIDDLE_HZ * 2 ** (OCTAVES * clamped),
      context.currentTime,
      GLIDE_S,
    )
    // The ear hears loudness by ratio.
    tone.gain.gain.setTargetAtTime(
      value === null ? 0 : LOUDEST * volume.value ** 2,
      context.currentTime,
      GLIDE_S,
    )
  }

  watch(position, follow)
  watch(volume, () => follow(position.value))
  onBeforeUnmount(() => {
    stop()
    void context?.close()
  })
  return { on, volume, toggle }
}
