import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('../..', import.meta.url))
export const OUTPUT = join(ROOT, '.output')
export const fromRoot = (...parts) => join(ROOT, ...parts)
/** What an import from another room begins with; nuxt.config.ts and vitest.config.ts take it from here. */
export const ALIAS = {
  '#core': fromRoot('core'),
  '#shared': fromRoot('shared'),
  '#i18n': fromRoot('i18n'),
}
