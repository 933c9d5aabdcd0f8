import { defineNuxtPlugin, useRouter } from '#imports'

/** After the first look: what the worker fetches shares the machine with it. */
const AFTER_MS = 2000
/** Live readings are looked at there: nothing else takes time from them for a while. */
const AFTER_MS_ON_JOB = 60_000

/** Without one (no secure connection) the application works as long as its server is there. */
export default defineNuxtPlugin(app => {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
  const router = useRouter()
  let dueMs = Infinity
  let timer: ReturnType<typeof setTimeout> | undefined
  app.hook('page:finish', () => {
    const afterMs = router.currentRoute.value.path.startsWith('/jobs/') ? AFTER_MS_ON_JOB : AFTER_MS
    if (performance.now() + afterMs >= dueMs) return
    dueMs = performance.now() + afterMs
    clearTimeout(timer)
    timer = setTimeout(() => void navigator.serviceWorker.register('/sw.js').catch(() => undefined), afterMs)
  })
})
