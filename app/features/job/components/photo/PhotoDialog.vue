<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref, watch } from 'vue'
import { laterComponent } from '~/ui/laterComponent'
import { ROTATIONS, type Arrow, type Attachment, type AttachmentPatch } from '#shared/attachment'

/** A photo, large: turn it, point at something with an arrow, name it, put it aside. */
const PhotoCanvas = laterComponent(() => import('./PhotoCanvas.vue'))
const props = defineProps<{ photo: Attachment | null; failure: string | null }>()
const emit = defineEmits<{ close: []; change: [patch: Omit<AttachmentPatch, 'version'>] }>()
const name = ref('')
watch(
  () => props.photo,
  p => (name.value = p?.name ?? ''),
  { immediate: true },
)

function turn() {
  const at = ROTATIONS.indexOf(props.photo!.rotation)
  emit('change', { rotation: ROTATIONS[(at + 1) % ROTATIONS.length]! })
}
const addArrow = (arrow: Arrow) => emit('change', { arrows: [...props.photo!.arrows, arrow] })
const undoArrow = () => emit('change', { arrows: props.photo!.arrows.slice(0, -1) })
</script>

<template>
  <v-dialog :model-value="photo !== null" max-width="1100" @update:model-value="v => v || emit('close')">
    <v-card v-if="photo">
      <v-card-text class="body">
        <PhotoCanvas :photo="photo" @arrow="addArrow" />
        <p class="quiet">{{ t('job.drawWithFingerOrMouseAn') }}</p>
        <p v-if="failure" class="wrong" role="alert">{{ failure }}</p>
        <v-text-field
          v-model="name"
          :label="t('common.name')"
          :maxlength="200"
          hide-details
          @change="emit('change', { name })"
        />
      </v-card-text>
      <v-card-actions>
        <v-btn @click="turn">{{ t('job.rotate') }}</v-btn>
        <v-btn :disabled="photo.arrows.length === 0" @click="undoArrow">{{
          t('job.undoTheLastArrow')
        }}</v-btn>
        <v-btn @click="emit('change', { putAside: true })">{{ t('common.remove') }}</v-btn>
        <v-spacer />
        <v-btn variant="flat" color="primary" @click="emit('close')"
          >{{ t('common.close') }} <kbd>{{ t('common.esc') }}</kbd></v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.body {
  padding-bottom: 4px;
}
.wrong {
  color: var(--out);
  font-weight: 600;
}
</style>
