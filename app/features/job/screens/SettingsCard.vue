<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SettingsNoted } from '#core/run'
import { bandsWithout, cardControls } from '#core/work'
import { t } from '#shared/i18n'
import TextDialog from '~/ui/frame/TextDialog.vue'
import { laterComponent } from '~/ui/laterComponent'
import SettingsTable from '../components/work/SettingsTable.vue'
import { useEventForm } from '../logic/useEventForm'
import { useJobStore } from '../store/job'

/* The settings card of the open job: what the operator sets, band by band, and the paper for it. */

/** Fetched when somebody writes. */
const SettingsDialog = laterComponent(() => import('../components/work/SettingsDialog.vue'))
const store = useJobStore()
const { send, wrong } = useEventForm(store.append)
const controls = computed(() => cardControls(store.sheet!, store.events))
const nextBand = computed(() => {
  const noted = store.card.map(l => l.noted)
  return bandsWithout(store.sheet!, noted).nothing[0] ?? null
})
/** undefined = nothing is being written; null = a new line */
const writing = ref<SettingsNoted | null>()
const striking = ref<SettingsNoted | null>(null)
async function strike(reason: string) {
  await store.append({ kind: 'event-struck', eventId: striking.value!.id, reason })
  striking.value = null
}
</script>

<template>
  <p v-if="store.card.length === 0" class="quiet">{{ t('settings.empty') }}</p>
  <SettingsTable
    v-else
    :lines="store.card"
    :controls="controls"
    :sheet="store.sheet!"
    @edit="n => (writing = n)"
    @strike="n => (striking = n)"
  />
  <div class="entry no-print">
    <v-btn height="44" @click="writing = null">{{ t('settings.add') }}</v-btn><a
      v-if="store.card.length > 0"
      :href="`/api/jobs/${store.job!.id}/settings-card.pdf`"
      target="_blank"
      >{{ t('settings.paper') }}</a
    >
  </div>
  <SettingsDialog
    v-if="writing !== undefined"
    :sheet="store.sheet!"
    :controls="controls"
    :noted="writing"
    :next-band="nextBand"
    :wrong="wrong"
    @send="send"
    @close="writing = undefined"
  />
  <TextDialog
    :open="striking !== null"
    :title="t('settings.strikeOutTitle')"
    :hint="t('settings.staysInTheLog')"
    :label="t('common.reason')"
    :action="t('settings.strikeOut')"
    @close="striking = null"
    @done="strike"
  />
</template>

<style scoped>
.entry {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  margin: 8px 0 12px;
}
.entry a {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
</style>
