import { t } from '#shared/i18n'
import { onBeforeUnmount, ref, shallowRef } from 'vue'
import type { AudioAnalysis } from './listening'

const RATE_HZ = 48_000

/** Sound of the card, judged in a worker four times a second. Nothing of the browser may improve it. */
export function useSoundCard() {
  const heard = shallowRef<AudioAnalysis | null>(null)
  const on = ref(false)
  const failure = ref<string | null>(null)
  let context: AudioContext | null = null
  let stream: MediaStream | null = null
  let worker: Worker | null = null

  async function start() {
    failure.value = null
    try {
      stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
      })
      context = new AudioContext({ sampleRate: RATE_HZ })
      await context.audioWorklet.addModule('/tap.worklet.js')
      worker = new Worker(new URL('../workers/audio.worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = ({ data }: MessageEvent<AudioAnalysis>) => (heard.value = data)
      worker.postMessage({ kind: 'start', rateHz: context.sampleRate })
      const tap = new AudioWorkletNode(context, 'tap', { numberOfOutputs: 0 })
      tap.port.onmessage = ({ data }: MessageEvent<Float32Array>) =>
        worker?.postMessage({ kind: 'samples', block: data })
      context.createMediaStreamSource(stream).connect(tap)
      on.value = true
    } catch (error) {
      stop()
      failure.value =
        error instanceof DOMException && error.name === 'NotAllowedError'
          ? t('signals.theBrowserMayNotUseThe')
          : t('signals.noSoundCardFoundOrAnother')
    }
  }

  function stop() {
    on.value = false
    heard.value = null
    stream?.getTracks().forEach(t => t.stop())
    void context?.close()
    worker?.terminate()
    stream = context = worker = null
  }

  onBeforeUnmount(stop)
  return { heard, on, failure, start, stop }
}
