<script setup lang="ts">
import { t } from '#shared/i18n'
import { defineAsyncComponent } from 'vue'
import type { ModelSheet } from '#core/sheet'

/** "Show me": the board large, over whatever was at hand. */
defineProps<{ sheet: ModelSheet; wanted: readonly string[] }>()
const emit = defineEmits<{ close: [] }>()
const BoardView = defineAsyncComponent(() => import('./BoardView.vue'))
</script>

<template>
  <v-dialog :model-value="true" max-width="1100" @update:model-value="v => v || emit('close')">
    <v-card :title="t('sheet.boardOf', { model: sheet.model })">
      <v-card-text><BoardView :sheet="sheet" :wanted="wanted" /></v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn height="44" @click="emit('close')"
          >{{ t('common.close') }} <kbd>{{ t('common.esc') }}</kbd></v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>
