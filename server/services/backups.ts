import { readdir, stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { BackupState } from '#shared/backup'

const NIGHTLY = /^nightly-.*\.diapason$/

/** When the last nightly backup was taken, where the launcher takes any. */
export async function backupState(folder = process.env.DIAPASON_BACKUPS_IN): Promise<BackupState> {
  if (!folder) return { wanted: false, lastAtMs: null }
  const names = await readdir(folder).catch(() => [])
  const times = await Promise.all(
    names.filter(name => NIGHTLY.test(name)).map(async name => (await stat(join(folder, name))).mtimeMs),
  )
  return { wanted: true, lastAtMs: times.length > 0 ? Math.max(...times) : null }
}
