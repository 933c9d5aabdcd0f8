import { defineNuxtPlugin } from '#imports'
import { useSessionStore } from '~/features/people/store/session'

/** Who is signed in is known before the first page asks for anything. */
export default defineNuxtPlugin({
  name: 'session',
  parallel: true,
  setup: () => useSessionStore().begin(),
})
