<script setup lang="ts">
import type { NuxtError } from '#app'

defineProps<{ error: NuxtError }>()
</script>

<template>
  <v-app>
    <div class="page">
      <h1>{{ error.statusCode === 404 ? 'There is no such page' : 'Something went wrong' }}</h1>
      <p class="lead">
        {{
          error.statusCode === 404
            ? 'The address may be mistyped, or the job belongs to another bench.'
            : 'What was taken is kept. Load the page again; if it stays, the server log names the cause.'
        }}
      </p>
      <v-btn href="/">To the bench</v-btn>
    </div>
  </v-app>
</template>
