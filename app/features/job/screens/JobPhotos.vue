<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref, onMounted } from 'vue'
import PhotoDialog from '../components/photo/PhotoDialog.vue'
import PhotoStrip from '../components/photo/PhotoStrip.vue'
import { useAttachmentsStore } from '../store/attachments'
import { useJobStore } from '../store/job'
import type { AttachmentPatch } from '#shared/attachment'

/** Photos and voice notes of the open job about one thing. */
const props = defineProps<{ about: string; label: string; small?: boolean }>()
const job = useJobStore()
const store = useAttachmentsStore()
const shownId = ref<string | null>(null)
const failure = ref<string | null>(null)
const lastAside = computed(() => store.aside.filter(a => a.about === props.about).at(-1) ?? null)
const shown = computed(() => store.items.find(a => a.id === shownId.value) ?? null)

async function change(patch: Omit<AttachmentPatch, 'version'>) {
  failure.value = (await store.change(shown.value!, patch))?.words ?? null
  if (patch.putAside && !failure.value) shownId.value = null
}
onMounted(() => void store.open(job.job!.id))
</script>

<template>
  <PhotoStrip
    :items="store.items"
    :uploads="store.uploads"
    :about="about"
    :label="label"
    :small="small"
    @add="store.add"
    @show="a => (shownId = a.id)"
    @again="store.again"
    @give-up="store.giveUp"
  />
  <p v-if="lastAside && !small" class="quiet" role="status">
    {{ t('job.removedSaid', { name: lastAside.name || t('job.aPhoto') }) }}
    <v-btn size="small" height="44" @click="store.change(lastAside, { putAside: false })">{{
      t('common.restore')
    }}</v-btn>
  </p>
  <PhotoDialog :photo="shown" :failure="failure" @close="shownId = null" @change="change" />
</template>
