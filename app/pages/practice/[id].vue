<script setup lang="ts">
import { t } from '#shared/i18n'
import { jobTag } from '#shared/jobTag'
import { computed, onMounted } from 'vue'
import { useCookie, useHead, useRoute } from '#imports'
import { rigDesign } from '#core/rig'
import { dayAndTime } from '#shared/words/dateWords'
import ReviewView from '~/features/practice/components/ReviewView.vue'
import { usePracticeStore } from '~/features/practice/store/practice'

const store = usePracticeStore()
const route = useRoute()
const night = useCookie<'day' | 'night'>('theme', { default: () => 'day' })
const id = computed(() => String(route.params.id))
const session = computed(() => (store.review?.id === id.value ? store.review : null))
useHead({ title: t('practice.review') })
onMounted(() => {
  if (!session.value) void store.loadReview(id.value)
})
</script>

<template>
  <div class="page">
    <h1>
      {{ t('practice.review') }}<template v-if="session">: {{ rigDesign(session.designId).name }}</template>
    </h1>
    <p v-if="session" class="lead">
      {{ session.trainee }}, {{ dayAndTime(session.startedAtMs)
      }}<template v-if="session.jobId"
        >;
        <NuxtLink :to="`/jobs/${session.jobId}/handover`">{{
          t('practice.job', { jobTag: jobTag(session.jobNumber!) })
        }}</NuxtLink></template
      >. <NuxtLink to="/practice">{{ t('practice.anotherOne') }}</NuxtLink>
    </p>
    <p v-if="store.failure" class="care" role="alert">{{ store.failure.words }}</p>
    <ReviewView v-if="session?.review" :session="session" :night="night === 'night'" />
    <p v-else-if="session">{{ t('practice.thisExerciseWasLeftWithoutA') }}</p>
    <div v-else-if="!store.failure" role="status"><v-progress-linear indeterminate color="primary" /></div>
  </div>
</template>
