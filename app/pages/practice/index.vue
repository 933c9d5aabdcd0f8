<script setup lang="ts">
import { t } from '#shared/i18n'
import { jobTag } from '#shared/jobTag'
import { computed, ref, watch, onMounted, onBeforeUnmount } from 'vue'
import { useCookie, useHead, useRouter } from '#imports'
import type { NewPractice } from '#shared/practice'
import { rigDesign } from '#core/rig'
import { modelSheet } from '#core/sheet'
import FinishCase from '~/features/practice/components/FinishCase.vue'
import LessonBox from '~/features/practice/components/LessonBox.vue'
import PracticeControls from '~/features/practice/components/PracticeControls.vue'
import PracticeList from '~/features/practice/components/PracticeList.vue'
import PracticeStart from '~/features/practice/components/PracticeStart.vue'
import { usePracticeStore } from '~/features/practice/store/practice'
import { useLiveStore } from '~/features/instruments/store/live'

const FREE_SEED = 27
const store = usePracticeStore()
const live = useLiveStore()
const router = useRouter()
useHead({ title: t('practice.practice') })
const trainee = useCookie('trainee', { default: () => t('practice.trainee'), maxAge: 31_536_000 })
const kitId = useCookie('practice-kit', { default: () => 'usual', maxAge: 31_536_000 })
const busy = ref(false)
const choosing = ref(false)
const finishing = ref(false)
const open = computed(() => store.open)
onMounted(() => {
  live.workOn(null)
  store.watch()
  void store.loadSessions()
})
watch(
  () => open.value?.designId,
  id => live.setOnBench(id ? modelSheet(id) : null),
  { immediate: true },
)
onBeforeUnmount(() => {
  store.unwatch()
  live.setOnBench(null)
})

async function begin(wanted: NewPractice) {
  busy.value = true
  trainee.value = wanted.trainee
  kitId.value = wanted.kitId
  const made = await store.start(wanted)
  busy.value = false
  if (!made) return
  choosing.value = false
  if (!made.lessonId && made.jobId) {
    store.showPanel(true)
    await router.push(`/jobs/${made.jobId}/as-found`)
  }
}
async function tryOut(designId: string, kit: string) {
  busy.value = true
  kitId.value = kit
  if (await store.free({ designId, kitId: kit, seed: FREE_SEED })) choosing.value = false
  busy.value = false
}
async function finish(named: string[]) {
  busy.value = true
  const { id } = open.value!
  const done = await store.finish(id, named)
  busy.value = false
  finishing.value = false
  if (done) await router.push(`/practice/${id}`)
}
</script>

<template>
  <div class="page">
    <h1>{{ t('practice.practice') }}</h1>
    <p class="lead">
      {{ t('practice.simulatedSetsThatBehaveLikeReal') }} <kbd>P</kbd>
      {{ t('practice.opensTheSimulatorOnAnyPage') }}
    </p>
    <p v-if="store.failure" class="care" role="alert">
      {{ store.failure.words }}
      <v-btn size="small" class="ml-3" @click="store.request()">{{ t('common.tryAgain') }}</v-btn>
    </p>
    <template v-if="store.state">
      <PracticeStart
        v-if="!open || choosing"
        :remembered="{ trainee, kitId }"
        :busy="busy"
        :working="open ? rigDesign(open.designId).name : null"
        @start="begin"
        @free="tryOut"
      />
      <div v-else class="case">
        <LessonBox
          v-if="store.state.session.lesson"
          :lesson-id="store.state.session.lesson.id"
          :done="store.state.session.lesson.done"
        />
        <div v-else class="complaint">
          <b>{{ store.state.session.owner }}</b><q>{{ store.state.session.complaint }}</q>
        </div>
        <div class="line">
          <NuxtLink
            v-if="open.jobId"
            class="v-btn v-btn--variant-outlined tojob"
            :to="`/jobs/${open.jobId}/as-found`"
            >{{ t('practice.jobMeasureAndAlign', { jobTag: jobTag(open.jobNumber!) }) }}</NuxtLink><v-btn
            color="primary"
            @click="finishing = true"
            >{{ t('practice.finishAndReview') }}</v-btn
          ><v-btn @click="choosing = true">{{ t('practice.anotherSet') }}</v-btn>
        </div>
      </div>
      <v-btn v-if="choosing" class="mb-3" @click="choosing = false">{{
        t('practice.backToTheSetOnThe')
      }}</v-btn>
      <PracticeControls v-if="!choosing" :state="store.state" :failure="null" :change="store.change" />
      <PracticeList :sessions="store.sessions" :trainee="trainee" />
    </template>
    <div v-else-if="!store.asked" role="status"><v-progress-linear indeterminate color="primary" /></div>
    <v-dialog v-model="finishing" max-width="640"
      ><FinishCase
        v-if="open"
        :design-id="open.designId"
        :lesson="open.lessonId !== null"
        :busy="busy"
        @finish="finish"
        @close="finishing = false"
    /></v-dialog>
  </div>
</template>

<style scoped>
.complaint {
  display: grid;
  gap: 4px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  padding: 10px 14px;
  margin-bottom: 10px;
}
.complaint q {
  font-size: 19px;
}
.line {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin-bottom: 12px;
}
.tojob {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 14px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  color: inherit;
  text-decoration: none;
}
</style>
