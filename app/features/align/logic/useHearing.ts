import { computed, ref, watch } from 'vue'
import { showMeasured, type Quantity } from '#core/quantity'
import type { MeasurandState } from '#core/run'
import { earPlace } from './alignView'
import { useListen } from './useListen'
import { useSpeak } from './useSpeak'

export interface AudibleSource {
  readonly position: () => string
  readonly value: () => number | null
  readonly quantity: () => Quantity
  readonly want: () => MeasurandState
}

/**
 * The reading for the ear: as a tone about the target, or about where the peaking began; and spoken, where
 * there is a voice.
 */
export function useHearing(parts: AudibleSource) {
  const reference = ref<number | null>(null)
  watch(
    () => `${parts.position()} ${parts.quantity()}`,
    () => (reference.value = null),
  )
  watch(parts.value, v => (reference.value ??= v !== null && v > 0 ? v : null), { immediate: true })
  const listen = useListen(computed(() => earPlace(parts.value(), parts.want(), reference.value)))
  const speak = useSpeak(() => {
    const value = parts.value()
    if (value === null) return null
    const { value: shown, unit } = showMeasured({ value, standardUncertainty: null }, parts.quantity())
    return `${shown} ${unit}`
  })
  return {
    on: listen.on,
    volume: listen.volume,
    setVolume: (volume: number) => (listen.volume.value = volume),
    toggle: listen.toggle,
    everyS: speak.everyS,
    setEvery: (everyS: number) => (speak.everyS.value = everyS),
    hasVoice: speak.hasVoice,
  }
}
