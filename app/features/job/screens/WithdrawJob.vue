<script setup lang="ts">
import { computed, ref } from 'vue'
import { withdrawal } from '#core/run'
import { t } from '#shared/i18n'
import { dayAndTime } from '#shared/words/dateWords'
import TextDialog from '~/ui/frame/TextDialog.vue'
import { useJobStore } from '../store/job'

/** A job that was begun by mistake leaves the lists, and comes back when that was the mistake. */
defineProps<{
  /** in the head of every page of the job: said only while it is withdrawn */ notice?: boolean
}>()
const store = useJobStore()
const open = ref(false)
const gone = computed(() => withdrawal(store.events))
async function finish(reason: string) {
  await store.append(
    gone.value ? { kind: 'event-struck', eventId: gone.value.id, reason } : { kind: 'job-withdrawn', reason },
  )
  open.value = false
}
</script>

<template>
  <p v-if="notice && gone" class="banner" role="status">
    {{ t('job.withdrawnOn', { dayAndTime: dayAndTime(gone.atMs), reason: gone.reason }) }}
    <v-btn class="ml-3" @click="open = true">{{ t('job.takeBack') }}&hellip;</v-btn>
  </p>
  <v-btn v-if="!notice && !gone && !store.handedOver" class="mt-6" @click="open = true"
    >{{ t('job.withdraw') }}&hellip;</v-btn
  >
  <TextDialog
    :open="open"
    :title="gone ? t('job.takeBackTitle') : t('job.withdrawTitle')"
    :hint="gone ? t('job.takeBackHint') : t('job.withdrawHint')"
    :label="t('common.reason')"
    :action="gone ? t('job.takeBack') : t('job.withdraw')"
    @close="open = false"
    @done="finish"
  />
</template>

<style scoped>
.banner {
  margin: 0;
  padding: 8px 20px;
  border-left: 4px dashed var(--unsure);
  background: var(--sheet);
  font-size: 14px;
}
</style>
