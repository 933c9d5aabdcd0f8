<script setup lang="ts">
import { t } from '#shared/i18n'

/** Asks for a few choices, and does what its button says or nothing. */
defineProps<{ open: boolean; title: string; action: string; disabled: boolean; busy?: boolean }>()
const emit = defineEmits<{ close: []; done: [] }>()
</script>

<template>
  <v-dialog :model-value="open" max-width="620" @update:model-value="v => v || emit('close')">
    <v-card :title="title">
      <v-card-text><slot /></v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn @click="emit('close')">{{ t('common.cancel') }}</v-btn>
        <v-btn variant="flat" color="primary" :disabled="disabled" :loading="busy" @click="emit('done')">{{
          action
        }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>
