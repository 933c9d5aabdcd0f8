import { defineNuxtPlugin } from '#imports'
import { sameByOwnName } from '~/data/oneAddress'
import { useOutboxStore } from '~/data/outbox'
import { useSessionStore } from '~/features/people/store/session'

/**
 * A browser takes localhost and 127.0.0.1 for two sites, each with a queue and a memory of its own. Whoever
 * comes by the other name is led to the one that the server goes by, once nothing waits to be sent from here.
 */
export default defineNuxtPlugin({
  name: 'one-address',
  dependsOn: ['session'],
  setup(app) {
    const there = sameByOwnName(location.href, useSessionStore().me.address)
    if (there === null) return
    const outbox = useOutboxStore()
    app.hook('app:suspense:resolve', async () => {
      await outbox.flush()
      if (outbox.entries.length === 0) location.replace(there)
    })
  },
})
