<script setup lang="ts">
import { computed, onMounted, reactive, ref } from 'vue'
import type { PartTested } from '#core/run'
import { workLog, type WorkLogged } from '#core/work'
import { t } from '#shared/i18n'
import TextDialog from '~/ui/frame/TextDialog.vue'
import AddWork from '../components/work/AddWork.vue'
import WorkEntries from '../components/work/WorkEntries.vue'
import { useEventForm } from '../logic/useEventForm'
import { useAttachmentsStore } from '../store/attachments'
import { useJobStore } from '../store/job'
import { usePartsStore } from '../store/parts'
import JobPhotos from './JobPhotos.vue'

/** What happened to the set of the open job, and what is added to it. */
const props = defineProps<{ kinds: readonly WorkLogged[] }>()
const store = useJobStore()
const parts = usePartsStore()
const { problem, send, wrong } = useEventForm(store.append)
const entries = computed(() => workLog(store.events).filter(e => props.kinds.includes(e.event.kind)))
const tested = computed(() => [
  ...store.events.filter((e): e is PartTested => e.kind === 'part-tested'),
  ...(parts.items ?? []),
])
const attachments = useAttachmentsStore()
/** Entries whose photos somebody wants to add to; those that have some show them. */
const opened = reactive(new Set<string>())
const aboutOf = (id: string) => `work:${id}`
const hasPhotos = (id: string) => opened.has(id) || attachments.items.some(a => a.about === aboutOf(id))
const striking = ref<string | null>(null)
async function strike(reason: string) {
  await store.append({ kind: 'event-struck', eventId: striking.value!, reason })
  striking.value = null
}
onMounted(() => {
  void attachments.open(store.job!.id)
  // Parts of the drawers tell what is known of a lot; without them only this job does.
  if (props.kinds.includes('part-tested')) void parts.load()
})
</script>

<template>
  <p v-if="problem" class="wrong" role="alert">{{ problem.words }}</p>
  <AddWork :kinds="kinds" :tested="tested" :wrong="wrong" @send="send" />
  <p v-if="entries.length === 0" class="quiet">{{ t('repair.nothingYet') }}</p>
  <WorkEntries
    v-slot="{ entry, about }"
    :entries="entries"
    @send="send"
    @strike="id => (striking = id)"
    @photos="id => opened.add(id)"
    ><JobPhotos
      v-if="hasPhotos(entry.event.id)"
      :about="aboutOf(entry.event.id)"
      :label="t('repair.photosOf', { about })"
      small
  /></WorkEntries>
  <TextDialog
    :open="striking !== null"
    :title="t('repair.strikeOutTitle')"
    :hint="t('settings.staysInTheLog')"
    :label="t('common.reason')"
    :action="t('repair.strikeOut')"
    @close="striking = null"
    @done="strike"
  />
</template>

<style scoped>
.wrong {
  color: var(--out);
  font-weight: 600;
}
</style>
