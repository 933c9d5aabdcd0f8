/** Older than this, the last backup is worth a word [ms]: a night or two may be missed over a weekend. */
export const BACKUP_OLD_MS = 3 * 86_400_000

export interface BackupState {
  /** the launcher takes backups by itself */
  readonly wanted: boolean
  /** null = there is none */
  readonly lastAtMs: number | null
  /** since when the log of the database could not be archived, where that is switched on; null = it can */
  readonly archiveFailedAtMs: number | null
}

/** Whether somebody has to be told. */
export function isBackupOld(
  { wanted, lastAtMs }: Pick<BackupState, 'wanted' | 'lastAtMs'>,
  nowMs: number,
): boolean {
  return wanted && (lastAtMs === null || nowMs - lastAtMs > BACKUP_OLD_MS)
}
