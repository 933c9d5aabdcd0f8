<script setup lang="ts">
import { computed } from 'vue'
import { isBackupOld, type BackupState } from '#shared/backup'
import { t } from '#shared/i18n'
import { dayAndTime } from '#shared/words/dateWords'

/** One line when the last backup is older than it should be. */
const props = defineProps<{ state: BackupState; nowMs: number }>()
const words = computed(() => {
  if (!isBackupOld(props.state, props.nowMs)) return null
  const { lastAtMs } = props.state
  return lastAtMs === null
    ? t('bench.noBackupYet')
    : t('bench.lastBackupIsOld', { dayAndTime: dayAndTime(lastAtMs) })
})
</script>

<template>
  <p v-if="words" class="care" role="status">{{ words }}</p>
</template>
