import { defineAsyncComponent, type Component } from 'vue'

/** When the page has had what it needs at the first look. */
const LATER_MS = 3000

/**
 * A component that the first look does not need. Where a service worker keeps the files of the application
 * it comes from there; else it is fetched a moment later all the same, wanted or not: the server may be away
 * when it is.
 */
export function laterComponent<T extends Component>(load: () => Promise<{ default: T }>): T {
  // One that cannot be fetched now is asked for again when it is shown.
  if (!('serviceWorker' in navigator)) setTimeout(() => void load().catch(() => undefined), LATER_MS)
  return defineAsyncComponent(async () => (await load()).default) as unknown as T
}
