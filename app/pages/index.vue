<script setup lang="ts">
import { useIntervalFn, useTimestamp } from '@vueuse/core'
import { t } from '#shared/i18n'
import { computed, nextTick, ref, onMounted } from 'vue'
import { laterComponent } from '~/ui/laterComponent'
import { useHead } from '#imports'
import FindField from '~/features/bench/components/FindField.vue'
import BenchBoard from '~/features/bench/components/BenchBoard.vue'
import NextUseful from '~/features/bench/components/NextUseful.vue'
import JobRow from '~/features/job/components/JobRow.vue'
import { useBenchKeys } from '~/features/align/logic/useBenchKeys'
import { findJobs } from '~/features/job/logic/findJobs'
import BackupNotice from '~/features/bench/components/BackupNotice.vue'
import { useBackupsStore } from '~/features/bench/store/backups'
import { useBlockedStore } from '~/features/bench/store/blocked'
import { useJobsStore } from '~/features/job/store/jobs'
import { useRulesStore } from '~/features/rules/store/rules'

/** A bench page is looked at far more often than a set is taken in, or a week is blocked. */
const BenchTaken = laterComponent(() => import('~/features/bench/components/BenchTaken.vue'))
const BookIn = laterComponent(() => import('~/features/job/screens/BookIn.vue'))
const store = useJobsStore()
const rules = useRulesStore()
const blocked = useBlockedStore()
const backups = useBackupsStore()
const takenOpen = ref(false)
const starting = ref(false)
const search = ref('')
const searchField = ref<{ focus: () => void } | null>(null)
const BACKUP_LOOK_MS = 60_000
const found = computed(() => findJobs(store.items ?? [], search.value))
const onBench = computed(() => found.value.filter(i => i.job.onBench))
const away = computed(() => found.value.filter(i => !i.job.onBench))

const openForm = () => (starting.value = true)
useHead({ title: t('bench.benchTitle') })
/** Timers on the page move by themselves. */
const nowMs = useTimestamp({ interval: 15_000 })
/** A page that stays open over night tells of the backup of that night. */
useIntervalFn(() => void backups.load(), BACKUP_LOOK_MS)
onMounted(() => {
  void store.load()
  void rules.load()
  void blocked.load()
  void backups.load()
})
useBenchKeys({
  'j': openForm,
  'Escape': () => (starting.value = false),
  '/': () => void nextTick(() => searchField.value?.focus()),
})
</script>

<template>
  <div class="page">
    <BookIn v-if="starting" @cancel="starting = false" />
    <template v-else>
      <div class="top">
        <h1>{{ t('bench.onTheBench') }}</h1>
        <FindField ref="searchField" v-model="search" />
        <v-btn href="/api/calendar.ics" download>{{ t('bench.calendar') }}</v-btn>
        <v-btn to="/people">{{ t('people.people') }}</v-btn>
        <v-btn @click="takenOpen = true">{{
          t('bench.blockDays', { what: blocked.items.length ? `: ${blocked.items.length}` : '' })
        }}</v-btn>
        <BenchTaken
          v-if="takenOpen"
          :open="takenOpen"
          :periods="blocked.items"
          :failure="blocked.failure?.words ?? null"
          @close="takenOpen = false"
          @add="blocked.add"
          @remove="blocked.remove"
        />
        <v-btn variant="flat" color="primary" @click="openForm"
          >{{ t('bench.bookInASet') }} <kbd>J</kbd></v-btn
        >
      </div>
      <BackupNotice :state="backups.state" :now-ms="nowMs" />
      <div v-if="store.failure" class="care my-4" role="alert">
        {{ store.failure.words }}
        <v-btn size="small" class="ml-3" @click="store.load()">{{ t('common.tryAgain') }}</v-btn>
      </div>
      <div v-else-if="!store.items" role="status">
        <v-progress-linear indeterminate color="primary" />
        <p class="lead mt-3">{{ t('bench.loadingTheJobs') }}</p>
      </div>
      <template v-else>
        <p v-if="store.items.length === 0" class="lead">
          {{ t('bench.noJobsYetBookInA') }}
        </p>
        <p v-else-if="found.length === 0" class="lead">{{ t('bench.noJobMatches', { search }) }}</p>
        <p v-else-if="onBench.length === 0" class="lead">{{ t('bench.theBenchIsClear') }}</p>
        <NextUseful
          v-if="search === ''"
          :here="onBench"
          :blocked="blocked.items"
          :now-ms="nowMs"
          @switch-on="store.switchOn"
        />
        <p v-if="store.moveFailure" class="care" role="alert">{{ store.moveFailure.words }}</p>
        <BenchBoard
          v-if="search === '' && onBench.length > 0"
          :here="onBench"
          :now-ms="nowMs"
          @move="store.move"
        />
        <template v-else><JobRow v-for="i in onBench" :key="i.job.id" v-bind="i" :now-ms="nowMs" /></template>
        <template v-if="away.length > 0"
          ><h2>
            {{ t('bench.recentlyHandedOver') }}
            <NuxtLink to="/sets?state=away" class="all">{{ t('bench.showAll') }}</NuxtLink>
          </h2>
          <div class="away">
            <JobRow v-for="i in away" :key="i.job.id" v-bind="i" :now-ms="nowMs" /></div
        ></template>
      </template>
    </template>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  gap: 20px;
  margin-bottom: 14px;
  flex-wrap: wrap;
}
/* Under the rows of the bench, which have a handle before them. */
.away {
  padding-left: 44px;
}
.all {
  font-size: 13px;
  font-weight: 400;
  color: var(--accent);
}
</style>
