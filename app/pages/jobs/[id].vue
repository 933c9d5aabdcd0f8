<script setup lang="ts">
import { t } from '#shared/i18n'
import { POSITION_ELSEWHERE } from '~/features/align/logic/provided'
import { computed, provide, ref, watch, onMounted, onBeforeUnmount } from 'vue'
import { navigateTo, useHead, useRoute } from '#imports'
import { useBenchKeys } from '~/features/align/logic/useBenchKeys'
import { awaitingRelease, withdrawal } from '#core/run'
import { warnings, type Stage } from '#core/work'
import { laterComponent } from '~/ui/laterComponent'
import KindDialog from '~/features/job/components/KindDialog.vue'
import { useEventForm } from '~/features/job/logic/useEventForm'
import JobHeader from '~/features/job/components/JobHeader.vue'
import { useJobLive } from '~/features/job/logic/useJobLive'
import { useJobStore } from '~/features/job/store/job'
import { useLiveStore } from '~/features/instruments/store/live'
import { WARNING_WORDS } from '#shared/words/workWords'
import { dayAndTime } from '#shared/words/dateWords'
import { jobTag } from '#shared/jobTag'

/** Most jobs have none. */
const WithdrawJob = laterComponent(() => import('~/features/job/screens/WithdrawJob.vue'))
const WaitingEntries = laterComponent(() => import('~/features/job/screens/WaitingEntries.vue'))
const route = useRoute()
const store = useJobStore()
const live = useLiveStore()
const id = computed(() => String(route.params.id))
const warned = computed(() => (store.sheet ? warnings(store.sheet, store.events) : []))
const gone = computed(() => withdrawal(store.events) !== null)
const waiting = computed(() => awaitingRelease(store.entered))
const { send, wrong } = useEventForm(store.append)
const changing = ref(false)
const stage = computed(() => route.path.split('/')[3] ?? '')
function goBy(phases: number) {
  const to = store.stages[store.stages.indexOf(stage.value as Stage) + phases]
  if (to) void navigateTo(`/jobs/${id.value}/${to}`)
}
useBenchKeys({ '<': () => goBy(-1), '>': () => goBy(1) })
useHead({
  title: computed(() => (store.job ? `${jobTag(store.job.number)} ${store.sheet!.model}` : t('job.job'))),
})
/** Somebody may have worked on the job at the other bench meanwhile. */
const lookAgain = () => document.visibilityState === 'visible' && void store.open(id.value)
const { connect, position, told } = useJobLive(id, store.takeNews, () => void store.open(id.value))
// Somebody else's entry may have been stored after the job was read and before its line was open.
watch([told, () => store.loading], ([count, loading]) => {
  if (count === null || loading) return
  told.value = null
  if (store.isBehind(count)) void store.open(id.value)
})
provide(POSITION_ELSEWHERE, position)
/** Seconds keyed belong to the job whose page is looked at while it is keyed. */
const stopKeyed = live.onKeyed(span => {
  if (store.job?.onBench && !store.handedOver && document.visibilityState === 'visible')
    void store.keepKeyed(span, live.stepAtHand)
})
watch(
  () => store.sheet,
  sheet => live.setOnBench(sheet),
  { immediate: true },
)
onBeforeUnmount(() => live.setOnBench(null))
onBeforeUnmount(stopKeyed)
// Asked for before the page is drawn: what is drawn first is that it loads.
watch(id, value => void store.open(value), { immediate: true })
onMounted(() => {
  connect()
  document.addEventListener('visibilitychange', lookAgain)
})
onBeforeUnmount(() => document.removeEventListener('visibilitychange', lookAgain))
</script>

<template>
  <div class="job">
    <template v-if="store.job && store.sheet && store.rules && store.done">
      <JobHeader
        :job="store.job"
        :sheet="store.sheet"
        :rules="store.rules"
        :done="store.done"
        :stages="store.stages"
        :job-kind="store.run!.jobKind"
        :stage="stage"
        @kind="changing = true"
      />
      <p v-if="store.fromMemory" class="banner" role="status">
        {{ t('job.serverNotRespondingThisIsThe') }}
      </p>
      <p v-else-if="store.handedOver" class="banner">
        {{ t('job.handedOverLaterEntriesAreMarked', { dayAndTime: dayAndTime(store.handedOver.atMs) }) }}
      </p>
      <p v-for="w in warned" :key="w" class="banner stop" role="alert">
        <b>{{ t(WARNING_WORDS[w]) }}</b>
      </p>
      <WithdrawJob v-if="gone" notice />
      <WaitingEntries v-if="waiting.length > 0" :waiting="waiting" />
      <KindDialog
        :open="changing"
        :job-kind="store.run!.jobKind"
        :failure="wrong('reason')"
        @close="changing = false"
        @done="(jobKind, reason) => send({ kind: 'job-kind-set', jobKind, reason }, () => (changing = false))"
      />
      <NuxtPage />
    </template>
    <div v-else-if="store.failure" class="page">
      <h1>
        {{ store.failure.code === 'unknown-job' ? t('job.jobNotFound') : t('job.theJobCannotBeShown') }}
      </h1>
      <p class="lead">{{ store.failure.words }}</p>
      <v-btn v-if="store.failure.passing" class="mr-3" @click="store.open(id)">{{
        t('common.tryAgain')
      }}</v-btn>
      <v-btn to="/">{{ t('job.goToBench') }}</v-btn>
    </div>
    <div v-else class="page" role="status">
      <v-progress-linear indeterminate color="primary" />
      <p class="lead mt-4">{{ t('job.loadingTheJob') }}</p>
    </div>
  </div>
</template>

<style scoped>
.job {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
}
.banner.stop {
  border-left: 4px solid var(--out);
}
.banner {
  margin: 0;
  padding: 8px 20px;
  border-left: 4px dashed var(--unsure);
  background: var(--sheet);
  font-size: 14px;
}
</style>
