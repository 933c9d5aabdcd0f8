import { readdir, stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { BackupState } from '#shared/backup'
import { pool } from '../db/pool'
import { selectArchiveFailure } from '../db/queries/check'

const NIGHTLY = /^nightly-.*\.diapason$/

/** When the last nightly backup was taken, where the launcher takes any, and whether the archive fails. */
export async function backupState(folder = process.env.DIAPASON_BACKUPS_IN): Promise<BackupState> {
  const archiveFailedAtMs = await selectArchiveFailure(pool)
  if (!folder) return { wanted: false, lastAtMs: null, archiveFailedAtMs }
  const names = await readdir(folder).catch(() => [])
  const times = await Promise.all(
    names.filter(name => NIGHTLY.test(name)).map(async name => (await stat(join(folder, name))).mtimeMs),
  )
  return { wanted: true, lastAtMs: times.length > 0 ? Math.max(...times) : null, archiveFailedAtMs }
}
