import { defineNuxtPlugin } from '#imports'

/** After the first look: what the worker fetches shares the line with it. */
const AFTER_MS = 2000

/** Without one (no secure connection) the application works as long as its server is there. */
export default defineNuxtPlugin(app => {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
  app.hook('app:suspense:resolve', () => {
    setTimeout(() => void navigator.serviceWorker.register('/sw.js').catch(() => undefined), AFTER_MS)
  })
})
