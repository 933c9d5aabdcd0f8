<script setup lang="ts">
import type { NuxtError } from '#app'

defineProps<{ error: NuxtError }>()
</script>

<template>
  <v-app>
    <div class="page">
      <h1>{{ error.statusCode === 404 ? 'Page not found' : 'Something went wrong' }}</h1>
      <p class="lead">
        {{
          error.statusCode === 404
            ? 'Check the address.'
            : 'Saved readings are safe. Reload the page. If it recurs, see the server log.'
        }}
      </p>
      <v-btn href="/">Go to Bench</v-btn>
    </div>
  </v-app>
</template>
