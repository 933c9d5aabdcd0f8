import { readdirSync } from 'node:fs'
import { join } from 'node:path'

/** All files below some folders, as paths from the root; a copy without a repository has them too. */
export function filesUnder(folders: readonly string[], ending: RegExp): string[] {
  return folders
    .flatMap(folder => readdirSync(folder, { recursive: true, encoding: 'utf8' }).map(f => join(folder, f)))
    .filter(f => ending.test(f))
}
