import { defineNuxtPlugin } from '#imports'
/** From here on presses are heard; until then the pointer says that the page is still loading. */
export default defineNuxtPlugin(app => {
  const ready = () => {
    document.documentElement.dataset.ready = 'true'
  }
  app.hook('app:suspense:resolve', ready)
  app.hook('app:error', ready)
})
