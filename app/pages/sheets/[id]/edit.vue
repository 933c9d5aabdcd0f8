<script setup lang="ts">
import { t } from '#shared/i18n'
import { onMounted, shallowRef } from 'vue'
import { navigateTo, useHead, useRoute } from '#imports'
import type { ModelSheet } from '#core/sheet'
import SheetEditor from '~/features/sheet/screens/SheetEditor.vue'
import { useSheetsStore } from '~/features/sheet/store/sheets'

const route = useRoute()
const store = useSheetsStore()
const sheet = shallowRef<ModelSheet | null>(null)
onMounted(async () => (sheet.value = (await store.view(String(route.params.id)))?.sheet ?? null))
useHead({ title: () => t('sheet.edit', { model: sheet.value?.model ?? 'sheet' }) })
</script>

<template>
  <div class="page">
    <h1>{{ sheet?.model ?? t('sheet.sheet') }}</h1>
    <p class="lead">{{ t('sheet.savingMakesANewRevisionJobs') }}</p>
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
