<script setup lang="ts">
import { computed } from 'vue'
import { isBackupOld, type BackupState } from '#shared/backup'
import { t } from '#shared/i18n'
import { dayAndTime } from '#shared/words/dateWords'

/** A line when the last backup is older than it should be, and one when the archive of the log fails. */
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
  <p v-if="state.archiveFailedAtMs !== null" class="care" role="status">
    {{ t('bench.archiveFails', { dayAndTime: dayAndTime(state.archiveFailedAtMs) }) }}
  </p>
</template>
