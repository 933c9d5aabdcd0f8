<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import type { Attachment, AttachmentKind } from '#shared/attachment'
import type { Upload } from '../../logic/upload'
import PhotoThumb from './PhotoThumb.vue'
import VoiceRecorder from './VoiceRecorder.vue'

/** Photos and voice notes about one thing: taken with the camera, chosen, dropped or pasted. */
const props = defineProps<{
  items: readonly Attachment[]
  uploads: readonly Upload[]
  about: string
  label: string
  small?: boolean
}>()
const emit = defineEmits<{
  add: [kind: AttachmentKind, about: string, file: Blob, name: string]
  show: [attachment: Attachment]
  again: [id: string]
  giveUp: [id: string]
}>()
const chooser = ref<HTMLInputElement | null>(null)
const camera = ref<HTMLInputElement | null>(null)
const over = ref(false)
const mine = computed(() => props.items.filter(a => a.about === props.about))
const under = computed(() => props.uploads.filter(u => u.about === props.about))

function take(files: FileList | null | undefined) {
  for (const file of files ?? [])
    emit('add', file.type.startsWith('audio/') ? 'voice' : 'photo', props.about, file, file.name)
}
function chosen(event: Event) {
  const input = event.target as HTMLInputElement
  take(input.files)
  input.value = ''
}
function dropped(event: DragEvent) {
  over.value = false
  take(event.dataTransfer?.files)
}
</script>

<template>
  <div
    class="strip"
    :class="{ over, small }"
    :aria-label="label"
    role="group"
    tabindex="-1"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
    @paste="e => take(e.clipboardData?.files)"
  >
    <template v-for="a in mine" :key="a.id">
      <PhotoThumb v-if="a.kind === 'photo'" :photo="a" @show="emit('show', a)" />
      <audio
        v-else
        controls
        preload="none"
        :src="`/api/attachments/${a.id}`"
        :aria-label="a.name || t('job.voiceNote')"
      />
    </template>
    <div v-for="u in under" :key="u.id" class="upload" role="status">
      <template v-if="u.failure"
        ><span class="wrong">{{ u.name || t('job.voiceNoteTitle') }}: {{ u.failure.words }}</span
        ><span class="acts"
          ><v-btn size="small" height="44" @click="emit('again', u.id)">{{ t('common.tryAgain') }}</v-btn
          ><v-btn size="small" height="44" @click="emit('giveUp', u.id)">{{
            t('common.discard')
          }}</v-btn></span
        ></template
      >
      <template v-else
        ><span
          >{{ u.name || t('job.voiceNoteTitle') }}
          <span class="fig">{{ Math.round(u.share * 100) }} %</span></span
        ><v-progress-linear :model-value="u.share * 100" color="primary" /><v-btn
          size="small"
          height="44"
          @click="emit('giveUp', u.id)"
          >{{ t('common.cancel') }}</v-btn
        ></template
      >
    </div>
    <div class="buttons no-print">
      <v-btn height="44" @click="camera?.click()">{{ t('job.camera') }}</v-btn>
      <v-btn height="44" @click="chooser?.click()">{{
        small ? t('job.photo') : t('job.chooseOrDropPhotos')
      }}</v-btn>
      <VoiceRecorder v-if="!small" @done="(blob, name) => emit('add', 'voice', about, blob, name)" />
    </div>
    <input
      ref="chooser"
      type="file"
      accept="image/jpeg,image/png,image/webp,audio/*"
      multiple
      hidden
      :aria-label="t('job.chooseFiles', { label })"
      @change="chosen"
    />
    <input
      ref="camera"
      type="file"
      accept="image/*"
      capture="environment"
      hidden
      :aria-label="t('job.cameraFor', { label })"
      @change="chosen"
    />
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  padding: 6px 0;
}
.strip.over {
  outline: 2px dashed var(--accent);
  outline-offset: 3px;
}
.strip.small {
  padding: 0;
}
.upload {
  width: 230px;
  font-size: 13px;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.wrong {
  color: var(--out);
  font-weight: 600;
}
.acts,
.buttons {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
audio {
  height: 44px;
  max-width: 260px;
}
</style>
