<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import { navigateTo, useHead, useRoute } from '#imports'
import type { ModelSheet } from '#core/sheet'
import SheetEditor from '~/features/sheet/screens/SheetEditor.vue'
import { useSheetsStore } from '~/features/sheet/store/sheets'

const route = useRoute()
const store = useSheetsStore()
const sheet = shallowRef<ModelSheet | null>(null)
onMounted(async () => (sheet.value = (await store.view(String(route.params.id)))?.sheet ?? null))
useHead({ title: () => `Edit ${sheet.value?.model ?? 'sheet'}` })
</script>

<template>
  <div class="page">
    <h1>{{ sheet?.model ?? 'Sheet' }}</h1>
    <p class="lead">Saving makes a new revision. Jobs in progress keep the revision they began with.</p>
    <SheetEditor
      v-if="sheet"
      :key="sheet.revision"
      :initial="sheet"
      :is-new="false"
      @saved="s => navigateTo(`/sheets/${s.id}`)"
    />
    <p v-else-if="store.failure" class="care" role="alert">{{ store.failure.words }}</p>
  </div>
</template>
