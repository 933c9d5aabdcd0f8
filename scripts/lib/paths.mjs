import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('../..', import.meta.url))
export const DATA = join(ROOT, '.data')
export const OUTPUT = join(ROOT, '.output')
export const fromRoot = (...parts) => join(ROOT, ...parts)
