<script setup lang="ts">
import { t } from '#shared/i18n'
import type { SavedView } from '#shared/search'

/** Searches that were kept by name. */
defineProps<{ views: readonly SavedView[]; canKeep: boolean }>()
const emit = defineEmits<{ choose: [view: SavedView]; drop: [id: string]; keep: []; clear: [] }>()
</script>

<template>
  <div class="views">
    <v-chip
      v-for="v in views"
      :key="v.id"
      size="large"
      variant="outlined"
      closable
      :close-label="t('search.deleteTheSavedSearch', { name: v.name })"
      @click="emit('choose', v)"
      @click:close.stop="emit('drop', v.id)"
      >{{ v.name }}</v-chip
    >
    <v-btn v-if="canKeep" @click="emit('keep')">{{ t('search.saveSearch') }}</v-btn>
    <v-btn v-if="canKeep" @click="emit('clear')">{{ t('search.clear') }}</v-btn>
  </div>
</template>

<style scoped>
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  min-height: 12px;
  margin: 12px 0 8px;
}
</style>
