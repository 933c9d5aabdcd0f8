<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { laterComponent } from '~/ui/laterComponent'
import HandoverPapers from '../components/handover/HandoverPapers.vue'
import { useJobStore } from '../store/job'

/** The papers of the open job, and the addresses by which its owner reads his. */
defineProps<{ corrected: boolean }>()
/** Fetched when it is asked for: it brings a list and a picture with it. */
const OwnerLinks = laterComponent(() => import('./OwnerLinks.vue'))
const store = useJobStore()
const linksOpen = ref(false)
onMounted(() => void store.loadIssues())
</script>

<template>
  <HandoverPapers
    :job-id="store.job!.id"
    :issues="store.issues"
    :corrected="corrected"
    :links-open="linksOpen"
    @links="linksOpen = !linksOpen"
  />
  <OwnerLinks v-if="linksOpen" />
</template>
