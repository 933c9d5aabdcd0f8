<script setup lang="ts">
import { t } from '#shared/i18n'
import type { JobEvent } from '#core/run'
import { dayAndTime } from '#shared/words/dateWords'
import { eventWords } from '#shared/words/eventWords'
import { computed, ref } from 'vue'
import { useSessionStore } from '~/features/people/store/session'
import TextDialog from '~/ui/frame/TextDialog.vue'
import { useOutboxStore } from '~/data/outbox'
import { useJobStore } from '../store/job'

/** What trainees entered and nobody has released yet; whoever may releases it here. */
const props = defineProps<{ waiting: readonly JobEvent[] }>()
const job = useJobStore()
const outbox = useOutboxStore()
const session = useSessionStore()
const mayRelease = computed(() => ['technician', 'owner'].includes(session.me.person?.role ?? ''))
/** What the server does not have yet cannot be released. */
const releasable = computed(() => {
  const unsent = new Set(outbox.entries.map(e => e.event.id))
  return mayRelease.value ? props.waiting.filter(e => !unsent.has(e.id)).map(e => e.id) : []
})
const open = ref(false)
const turningDown = ref<string | null>(null)

const review = (eventIds: string[], released: boolean, text = '') =>
  job.append({ kind: 'entries-reviewed', eventIds, released, text })
async function turnDown(text: string) {
  await review([turningDown.value!], false, text)
  turningDown.value = null
}
</script>

<template>
  <section class="waiting" :aria-label="t('job.notReleased')">
    <p role="status">
      {{ t('job.waitForRelease', { count: waiting.length }) }}
      <v-btn height="44" :aria-expanded="open" @click="open = !open">{{
        open ? t('common.close') : t('job.showWaiting')
      }}</v-btn>
      <v-btn
        v-if="releasable.length > 0 && open"
        height="44"
        variant="flat"
        color="primary"
        @click="review(releasable, true)"
        >{{ t('job.releaseAll') }}</v-btn
      >
    </p>
    <ul v-if="open">
      <li v-for="e in waiting" :key="e.id">
        <span
          ><span class="quiet fig">{{ dayAndTime(e.atMs) }}</span
          >{{ ' ' }}<template v-if="e.author">{{ e.author.name }}: </template>{{ eventWords(e) }}</span
        >
        <template v-if="releasable.includes(e.id)">
          <v-btn height="44" @click="review([e.id], true)">{{ t('job.release') }}</v-btn>
          <v-btn height="44" @click="turningDown = e.id">{{ t('job.turnDown') }}&hellip;</v-btn>
        </template>
      </li>
    </ul>
    <TextDialog
      :open="turningDown !== null"
      :title="t('job.turnDownThis')"
      :hint="t('job.turnedDownStays')"
      :label="t('common.reason')"
      :action="t('job.turnDown')"
      @close="turningDown = null"
      @done="turnDown"
    />
  </section>
</template>

<style scoped>
.waiting {
  padding: 4px 20px;
  border-left: 4px dashed var(--unsure);
  background: var(--sheet);
  font-size: 14px;
}
p {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
  max-height: 40vh;
  overflow-y: auto;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  min-height: 48px;
  border-top: 1px solid var(--line2);
}
li > span:first-child {
  flex: 1 1 320px;
}
</style>
