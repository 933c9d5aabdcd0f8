<script setup lang="ts">
import { t } from '#shared/i18n'
import { ref } from 'vue'

/** Files dropped or chosen; a SigMF pair comes as two. */
defineProps<{ busy: boolean; progress: { share: number; what: string } | null }>()
const emit = defineEmits<{ files: [files: File[]]; cancel: [] }>()
const over = ref(false)
const chooser = ref<HTMLInputElement | null>(null)

function take(list: FileList | null | undefined) {
  if (list && list.length > 0) emit('files', [...list])
}
function dropped(event: DragEvent) {
  over.value = false
  take(event.dataTransfer?.files)
}
function chosen(event: Event) {
  const input = event.target as HTMLInputElement
  take(input.files)
  input.value = ''
}
</script>

<template>
  <div
    class="drop no-print"
    :class="{ over }"
    role="group"
    :aria-label="t('signals.recordings')"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
  >
    <template v-if="progress">
      <span role="status"
        >{{ progress.what }} <span class="fig">{{ Math.round(progress.share * 100) }} %</span></span
      >
      <v-progress-linear :model-value="progress.share * 100" color="primary" class="bar" />
      <v-btn @click="emit('cancel')">{{ t('common.cancel') }}</v-btn>
    </template>
    <template v-else>
      <v-btn size="large" variant="flat" color="primary" :disabled="busy" @click="chooser?.click()">{{
        t('signals.chooseARecording')
      }}</v-btn>
      <span class="quiet">{{ t('signals.orDropItHereSigmfBoth') }}</span>
      <slot />
    </template>
    <input
      ref="chooser"
      type="file"
      multiple
      hidden
      accept=".sigmf,.sigmf-meta,.sigmf-data,.zip,.wav,.csv,.txt,.tsv"
      :aria-label="t('signals.chooseRecordings')"
      @change="chosen"
    />
  </div>
</template>

<style scoped>
.drop {
  display: flex;
  gap: 16px;
  align-items: center;
  border: 1.5px dashed var(--edge);
  border-radius: 8px;
  padding: 12px 16px;
  min-height: 74px;
}
.drop.over {
  border-color: var(--accent);
  background: var(--sheet);
}
.bar {
  flex: 1;
}
@media (max-width: 900px) {
  .drop {
    flex-wrap: wrap;
  }
}
</style>
