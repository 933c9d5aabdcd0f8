<script setup lang="ts">
import { t } from '#shared/i18n'
import type { Attachment } from '#shared/attachment'

defineProps<{ photo: Attachment }>()
const emit = defineEmits<{ show: [] }>()
</script>

<template>
  <button
    type="button"
    class="thumb"
    :aria-label="
      t('job.photoShow', {
        name: photo.name || t('job.withoutAName'),
        what: photo.arrows.length ? t('job.withArrows') : '',
      })
    "
    @click="emit('show')"
  >
    <img
      :src="`/api/attachments/${photo.id}/thumbnail`"
      alt=""
      loading="lazy"
      :style="{ transform: `rotate(${photo.rotation}deg)` }"
    />
    <span v-if="photo.arrows.length" class="arrows">&#8599; {{ photo.arrows.length }}</span>
  </button>
</template>

<style scoped>
.thumb {
  position: relative;
  width: 104px;
  height: 78px;
  padding: 0;
  border: 1px solid var(--edge);
  border-radius: 4px;
  overflow: hidden;
  background: var(--sheet);
  cursor: pointer;
}
img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
.arrows {
  position: absolute;
  right: 0;
  bottom: 0;
  background: var(--paper);
  color: var(--ink);
  font-size: 12px;
  padding: 0 5px;
}
</style>
