<script setup lang="ts">
import { t } from '#shared/i18n'
import type { NuxtError } from '#app'

defineProps<{ error: NuxtError }>()
</script>

<template>
  <v-app>
    <div class="page">
      <h1>{{ error.statusCode === 404 ? t('frame.pageNotFound') : t('frame.somethingWentWrong') }}</h1>
      <p class="lead">
        {{ error.statusCode === 404 ? t('frame.checkTheAddress') : t('frame.savedReadingsAreSafeReloadThe') }}
      </p>
      <v-btn href="/">{{ t('frame.goToBench') }}</v-btn>
    </div>
  </v-app>
</template>
