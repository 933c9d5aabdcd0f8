<script setup lang="ts">
import PracticeControls from '../components/practice/PracticeControls.vue'
import { usePracticeStore } from '../stores/practice'
import { useLiveStore } from '../stores/live'

const store = usePracticeStore()
const live = useLiveStore()
useHead({ title: 'Practice' })
onMounted(() => {
  live.keyDownLimitS = 20
  store.watch()
})
onBeforeUnmount(() => store.unwatch())
</script>

<template>
  <div class="page">
    <h1>Practice</h1>
    <p class="lead">A simulated Osmund 27F behind the same instruments and the same wire as a real one. Turn it here, or press <kbd>P</kbd> in a job to have it beside the run.</p>
    <PracticeControls v-if="store.state" :state="store.state" :failure="store.failure?.words ?? null" @change="store.change" />
    <div v-else-if="!store.asked" role="status"><v-progress-linear indeterminate color="primary" /></div>
    <div v-else class="care">{{ store.failure?.words }} <v-btn size="small" class="ml-3" @click="store.request()">Try again</v-btn></div>
  </div>
</template>
