import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { BackupState } from '#shared/backup'
import { $api } from '~/data/api'

/** When the workshop was last backed up; nothing is said of what could not be asked. */
export const useBackupsStore = defineStore('backups', () => {
  const state = shallowRef<BackupState>({ wanted: false, lastAtMs: null, archiveFailedAtMs: null })
  async function load() {
    state.value = await $api<BackupState>('/api/backups').catch(() => state.value)
  }
  return { state, load }
})
