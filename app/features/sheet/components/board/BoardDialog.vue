<script setup lang="ts">
import { t } from '#shared/i18n'
import type { ModelSheet } from '#core/sheet'
import BoardView from './BoardView.vue'

/** "Show me": the board large, over whatever was at hand. */
defineProps<{ sheet: ModelSheet; wanted: readonly string[] }>()
const emit = defineEmits<{ close: [] }>()
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
