import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { WayIn } from '#shared/network'

/** How other devices get in; without an answer nothing is said about it. */
export const useWayInStore = defineStore('way-in', () => {
  const wayIn = shallowRef<WayIn | null>(null)
  async function load() {
    wayIn.value = await $api<WayIn>('/api/network').catch(() => wayIn.value)
  }
  return { wayIn, load }
})
