import { clockSeconds, localDay } from '#shared/words/dateWords'
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { writeWav } from '#core/recording'

const SECONDS = 5
const RATE_HZ = 48_000

/** Some seconds of the sound card as a WAV file: counted in samples, since its clock is not ours. */
export function useSoundRecorder() {
  const recording = ref(false)
  const failure = ref<string | null>(null)

  async function record(): Promise<File | null> {
    recording.value = true
    failure.value = null
    let stream: MediaStream | null = null
    let context: AudioContext | null = null
    try {
      stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
      })
      context = new AudioContext({ sampleRate: RATE_HZ })
      await context.audioWorklet.addModule('/tap.worklet.js')
      const samples = await collected(context, stream)
      return new File(
        [writeWav(samples, context.sampleRate) as BlobPart],
        `sound-${localDay(Date.now())}-${clockSeconds(Date.now()).replaceAll(':', '-')}.wav`,
      )
    } catch {
      failure.value = t('signals.noSoundCardFoundOrThe')
      return null
    } finally {
      stream?.getTracks().forEach(t => t.stop())
      void context?.close()
      recording.value = false
    }
  }

  return { recording, failure, record }
}

function collected(context: AudioContext, stream: MediaStream): Promise<Float32Array> {
  const out = new Float32Array(SECONDS * context.sampleRate)
  const tap = new AudioWorkletNode(context, 'tap', { numberOfOutputs: 0 })
  context.createMediaStreamSource(stream).connect(tap)
  let at = 0
  return new Promise(done => {
    tap.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
      out.set(data.subarray(0, Math.min(data.length, out.length - at)), at)
      at += data.length
      if (at >= out.length) done(out)
    }
  })
}
