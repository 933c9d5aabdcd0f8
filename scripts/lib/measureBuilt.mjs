import { existsSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { fromRoot } from './paths.mjs'

/**
 * The command that measures recordings, as one file for plain Node with the transform that it loads beside
 * it.
 */
export const MEASURE = fromRoot('dist', 'measure', 'measure.mjs')

/**
 * Whether it was made after the last time that sources came or went, as a new version does. Edited in place
 * they are not seen.
 */
export function measureIsBuilt() {
  return existsSync(MEASURE) && newestFolder(fromRoot('core'), fromRoot('cli')) < statSync(MEASURE).mtimeMs
}

function newestFolder(...folders) {
  let newest = 0
  for (const folder of folders) {
    newest = Math.max(newest, statSync(folder).mtimeMs)
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      if (entry.isDirectory()) newest = Math.max(newest, newestFolder(join(folder, entry.name)))
    }
  }
  return newest
}
