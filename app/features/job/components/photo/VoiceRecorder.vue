<script setup lang="ts">
import { t } from '#shared/i18n'
import { clockTime, dayMonth } from '#shared/words/dateWords'
import { onBeforeUnmount, ref } from 'vue'

/** A short spoken note, for when both hands are in the set. */
const emit = defineEmits<{ done: [recording: Blob, name: string] }>()
const MAX_S = 180
const seconds = ref<number | null>(null)
const problem = ref<string | null>(null)
let recorder: MediaRecorder | null = null
let clock: ReturnType<typeof setInterval> | undefined

async function start() {
  problem.value = null
  try {
    const stream = await navigator.mediaDevices.getUserMedia({ audio: true })
    const pieces: Blob[] = []
    recorder = new MediaRecorder(stream)
    recorder.ondataavailable = e => e.data.size > 0 && pieces.push(e.data)
    recorder.onstop = () => {
      stream.getTracks().forEach(t => t.stop())
      if (pieces.length > 0)
        emit(
          'done',
          new Blob(pieces, { type: recorder!.mimeType }),
          t('job.voiceNoteName', { now: `${dayMonth(Date.now())} ${clockTime(Date.now())}` }),
        )
      seconds.value = null
    }
    recorder.start()
    seconds.value = 0
    clock = setInterval(() => {
      seconds.value = (seconds.value ?? 0) + 1
      if (seconds.value >= MAX_S) stop()
    }, 1000)
  } catch {
    problem.value = t('job.noMicrophoneOrThisBrowserMay')
  }
}
function stop() {
  clearInterval(clock)
  if (recorder?.state === 'recording') recorder.stop()
}
onBeforeUnmount(stop)
</script>

<template>
  <v-btn
    height="44"
    :aria-pressed="seconds !== null"
    :color="seconds === null ? undefined : 'primary'"
    :variant="seconds === null ? undefined : 'flat'"
    @click="seconds === null ? start() : stop()"
  >
    {{ seconds === null ? t('job.recordVoiceNote') : t('job.stopRecording', { seconds }) }}
  </v-btn>
  <span v-if="problem" class="wrong" role="alert">{{ problem }}</span>
</template>

<style scoped>
.wrong {
  color: var(--out);
  font-size: 13px;
  align-self: center;
}
</style>
